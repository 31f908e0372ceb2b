import { Text } from 'react-native-paper';
import { sayBytes } from '@/core/files/opening';
import { KINDS } from '@/core/model/kinds';
import { count } from '@/core/time/words';
import { usePersistence } from '@/data/persistence';
import { useSpace } from '@/data/queries';
import type { SpaceOfKind } from '@/engine/queries/space';
import { usePalette } from '@/ui/theme/theme';

const wordsOf = (kind: SpaceOfKind['kind']) =>
  kind === 'file' ? { one: 'attached file', many: 'attached files' } : KINDS[kind];

/** How the browser keeps what is stored here, and how much room it takes. */
export function Space({ isDemo }: { isDemo: boolean }) {
  const { dim } = usePalette();
  const { data: kept } = usePersistence();
  const { data: kinds = [] } = useSpace();
  const parts = kinds
    .filter(({ kind }) => kind !== 'settings')
    .map(
      ({ kind, count: n, bytes }) =>
        `${count(n, wordsOf(kind).one, wordsOf(kind).many)}, ${sayBytes(bytes)}`,
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
