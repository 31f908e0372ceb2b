import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import type { Share, ShareLevel } from '@/core/model/share';
import { isOn } from '@/core/people/shareToken';
import { dayOfWall } from '@/core/time/civil';
import { sayDay } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { useEngineQuery } from '@/data/engineQuery';
import { useNow } from '@/data/now';
import { usePeople } from '@/data/people';
import { usePreferences } from '@/data/preferences';
import { shareAddress, useShareStanding, useSharing } from '@/data/sharing';
import { usePalette } from '@/ui/theme/theme';
import { LEVEL_WORDS } from './levels';

interface Props {
  share: Share;
  hasName?: boolean;
  /** What could be seen of it instead. */
  wanted?: ShareLevel;
}

/** Something that is shared: with whom, how much, until when; its address, and the end of it. */
export function ShareLine({ share, hasName = false, wanted = share.level }: Props) {
  const palette = usePalette();
  const { clock, wording } = usePreferences();
  const people = usePeople();
  const sharing = useSharing();
  const standing = useShareStanding(share.id);
  const now = useNow();
  const { data: name } = useEngineQuery(['shares', 'name', share.of], (engine) =>
    engine.sharing.nameOf(share.of),
  );
  const who =
    share.personId === null
      ? 'Whoever has the address'
      : (people.find(({ id }) => id === share.personId)?.name ?? 'Somebody');
  const isOver = share.expires !== null && share.expires <= now;
  const until =
    share.expires === null
      ? ''
      : `${isOver ? 'ended' : 'until'} ${sayDay(dayOfWall(wallFromInstant(share.expires, clock)), wording, { day: 'numeric', month: 'short' })}`;
  const said = [LEVEL_WORDS[share.level][0], until].filter(Boolean).join(' · ');
  const called = hasName ? `${name ?? 'Something that is gone'}: ${who}` : who;
  return (
    <View
      role="listitem"
      aria-label={called}
      style={[styles.line, { borderColor: palette.hairline }]}
    >
      <View style={styles.words}>
        <Text style={styles.name}>{called}</Text>
        <Text variant="bodySmall" style={{ color: isOver ? palette.amber : palette.dim }}>
          {said}
        </Text>
        {standing?.is === 'waiting' && (
          <Text variant="bodySmall" style={{ color: palette.amber }}>
            {standing.why}
          </Text>
        )}
        {!isOver && !isOn(share) && (
          <Text variant="bodySmall" style={{ color: palette.amber }}>
            Paused: nothing is at its address. Resuming makes a new one.
          </Text>
        )}
      </View>
      {wanted !== share.level && (
        <Button
          compact
          accessibilityLabel={`Let ${who} see: ${LEVEL_WORDS[wanted][0]}`}
          onPress={() => void sharing.change(share, { level: wanted })}
        >
          {`Change to “${LEVEL_WORDS[wanted][0]}”`}
        </Button>
      )}
      {!isOver && !isOn(share) && (
        <Button
          compact
          accessibilityLabel={`Resume sharing with ${who}`}
          onPress={() => void sharing.resume(share)}
        >
          Resume
        </Button>
      )}
      <Button
        compact
        accessibilityLabel={`Look at it as ${who} does`}
        disabled={standing?.is !== 'published'}
        onPress={() => window.open(shareAddress(share), '_blank', 'noopener')}
      >
        Look
      </Button>
      <IconButton
        icon="content-copy"
        size={18}
        accessibilityLabel="Copy its address"
        onPress={() => void sharing.copyAddress(share)}
        style={styles.icon}
      />
      <Button compact onPress={() => void sharing.end(share)}>
        End
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    borderBottomWidth: 1,
    paddingVertical: 4,
  },
  words: { flex: 1, minWidth: 160 },
  name: { fontWeight: '600' },
  icon: { margin: 0, width: 40, height: 40 },
});
