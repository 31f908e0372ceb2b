import { z } from '@/core/model/zod';
import { useEngine } from '@/data/engineContext';
import { localStore } from '@/data/localStore';
import { useIsEmpty } from '@/data/queries';
import { later } from '@/ui/later';

const left = localStore(() => 'orderly-week-start-left', z.number().nullable(), null);

const FirstStartLater = later(() => import('./FirstStart').then(({ FirstStart }) => FirstStart));

/** On one's own empty sheet: how to begin, until something is there or it was left. */
export function StartBar() {
  const { store } = useEngine();
  const isEmpty = useIsEmpty();
  const isLeft = left.useValue() !== null;
  if (store !== 'own' || isLeft || !isEmpty) return null;
  return <FirstStartLater onLeave={() => left.put(1)} />;
}
