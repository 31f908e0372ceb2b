import { Text } from 'react-native-paper';
import { sayBytes } from '@/core/files/opening';
import { count } from '@/core/time/words';
import { usePersistence } from '@/data/persistence';
import { useSpace } from '@/data/queries';
import type { SpaceOfKind } from '@/engine/keeper';
import { usePalette } from '@/ui/theme/theme';

const NAMES: Record<SpaceOfKind['kind'], string> = {
  calendar: 'calendar',
  event: 'event',
  task: 'task',
  category: 'category',
  lens: 'lens',
  colleague: 'colleague',
  settings: 'settings',
  file: 'attached file',
};
const PLURALS: Partial<typeof NAMES> = {
  category: 'categories',
  lens: 'lenses',
  settings: 'settings',
};

/** How the browser keeps what is stored here, and how much room it takes. */
export function Space({ isDemo }: { isDemo: boolean }) {
  const { dim } = usePalette();
  const { data: kept } = usePersistence();
  const { data: kinds = [] } = useSpace();
  const parts = kinds
    .filter(({ kind }) => kind !== 'settings')
    .map(
      ({ kind, count: n, bytes }) =>
        `${count(n, NAMES[kind], PLURALS[kind] ?? `${NAMES[kind]}s`)}, ${sayBytes(bytes)}`,
    );
  if (!kept) return null;
  const room =
    kept.used === null || kept.allowed === null
      ? ''
      : `It takes ${sayBytes(kept.used)} of ${sayBytes(kept.allowed)} that the browser allows.`;
  const lasts = kept.isForGood
    ? 'The browser keeps it until you clear it.'
    : 'The browser may clear it when the disk runs short: make a backup now and then.';
  return (
    <Text variant="bodySmall" style={{ color: dim }}>
      {!isDemo && `${lasts} `}
      {room}
      {parts.length > 0 && ` ${parts.join('; ')}.`}
    </Text>
  );
}
