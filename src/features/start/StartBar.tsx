import { useState } from 'react';
import { useEngine } from '@/data/engineContext';
import { useIsEmpty } from '@/data/queries';
import { later } from '@/ui/later';

const KEY = 'orderly-week-start-left';

const FirstStartLater = later(() => import('./FirstStart').then(({ FirstStart }) => FirstStart));

function wasLeft(): boolean {
  try {
    return window.localStorage.getItem(KEY) !== null;
  } catch {
    return true; // Who lets nothing be kept would be asked each time.
  }
}

/** On one's own empty sheet: how to begin, until something is there or it was left. */
export function StartBar() {
  const { store } = useEngine();
  const isEmpty = useIsEmpty();
  const [isLeft, setLeft] = useState(wasLeft);
  if (store !== 'own' || isLeft || !isEmpty) return null;
  return (
    <FirstStartLater
      onLeave={() => {
        setLeft(true);
        try {
          window.localStorage.setItem(KEY, '1');
        } catch {
          // It is left for as long as this page is open.
        }
      }}
    />
  );
}
