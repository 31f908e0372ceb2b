import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import { SHORT_DAY, sayDay, sayMinute } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { useHistory } from '@/data/history';
import { usePreferences } from '@/data/preferences';
import { useChanges } from '@/data/queries';
import type { ChangeEntry } from '@/engine/commands/commands';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';

/** Changes that are listed; going back further goes on from there. */
const LISTED = 30;

interface RowProps {
  change: ChangeEntry;
  /** What its button does: goes back to before it, or on to after it. */
  act: { label: string; name: string; onPress(): void };
  isUndone: boolean;
}

function ChangeRow({ change, act, isUndone }: RowProps) {
  const palette = usePalette();
  const { zone, wording } = usePreferences();
  const wall = change.at === undefined ? null : wallFromInstant(change.at, zone);
  const when =
    wall === null
      ? ''
      : `${sayDay(dayOfWall(wall), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(wall), wording.hourCycle)}`;
  const under = [when, change.isHere ? '' : 'in another window or before', isUndone ? 'undone' : '']
    .filter(Boolean)
    .join(' · ');
  return (
    <View role="listitem" style={[styles.row, { borderColor: palette.hairline }]}>
      <View style={styles.text}>
        <Text style={isUndone && { color: palette.dim }}>{change.label}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {under}
        </Text>
      </View>
      <Button compact onPress={act.onPress} accessibilityLabel={act.name}>
        {act.label}
      </Button>
    </View>
  );
}

/** What was done last, newest first: taken back or done again step by step, or back to a point. */
export function ChangesDialog({ onClose }: { onClose(): void }) {
  const palette = usePalette();
  const { data } = useChanges();
  const { step, steps } = useHistory();
  const done = data?.done.toReversed() ?? [];
  const undone = data?.undone ?? [];
  const footer = (
    <>
      <Button
        icon="redo-variant"
        disabled={!undone.length}
        onPress={() => void step('redo', { isSaid: false })}
      >
        Do again
      </Button>
      <Button
        mode="contained"
        icon="undo-variant"
        disabled={!done.length}
        onPress={() => void step('undo', { isSaid: false })}
      >
        Undo
      </Button>
    </>
  );
  return (
    <Dialog title="What was done" onClose={onClose} footer={footer}>
      {!done.length && !undone.length && (
        <Text>Nothing yet. Each thing that you do stands here, and can be taken back.</Text>
      )}
      <View role="list" aria-label="Changes">
        {undone.map((change, i) => (
          <ChangeRow
            key={change.id}
            change={change}
            isUndone
            act={{
              label: 'Again to here',
              name: `Do again up to “${change.label}”`,
              onPress: () => void steps('redo', undone.length - i),
            }}
          />
        ))}
        {undone.length > 0 && (
          <View style={[styles.now, { borderColor: palette.amber }]}>
            <Text variant="bodySmall" style={{ color: palette.amber }}>
              Now
            </Text>
          </View>
        )}
        {done.slice(0, LISTED).map((change, i) => (
          <ChangeRow
            key={change.id}
            change={change}
            isUndone={false}
            act={{
              label: 'Back to before',
              name: `Undo back to before “${change.label}”`,
              onPress: () => void steps('undo', i + 1),
            }}
          />
        ))}
      </View>
      {done.length > LISTED && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          … and {done.length - LISTED} more before these.
        </Text>
      )}
    </Dialog>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingVertical: 6,
    borderBottomWidth: 1,
  },
  text: { flex: 1, minWidth: 0 },
  now: { borderTopWidth: 2, paddingTop: 2, marginTop: 6 },
});
