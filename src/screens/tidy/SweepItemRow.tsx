import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import type { SweepAction, SweepStep } from '@/core/tidy/sweep';
import { saySpan } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import type { Preferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

const ACTIONS: { value: SweepAction; label: string }[] = [
  { value: 'skip', label: 'Skip' },
  { value: 'next', label: 'Move on' },
  { value: 'previous', label: 'Move back' },
  { value: 'leave', label: 'Leave' },
];

/** A span in words, on the clock of the sheet. */
type Say = (span: { start: number; end: number; wholeDay: boolean }) => string;

/** What is to become of a date, in words. */
function sayStep({ action, target }: SweepStep, say: Say): string {
  if (action === 'skip') return 'will be skipped';
  if (action === 'leave') return 'stays';
  return target
    ? `moves to ${say({ ...target, wholeDay: false })}`
    : 'stays: no clear working day within two months';
}

/** A date that falls on a closure, with what is to become of it. */
export function SweepItemRow({
  step,
  calendar,
  preferences,
  onChoose,
}: {
  step: SweepStep;
  calendar: Calendar | undefined;
  preferences: Preferences;
  onChoose(action: SweepAction): void;
}) {
  const palette = usePalette();
  const { date, blockedBy, action, target } = step;
  const { wording } = preferences;
  const say: Say = (span) => saySpan(span, wording);
  const when = say(date);
  const stays = action === 'leave' || (action !== 'skip' && !target);
  return (
    <View role="listitem" style={[styles.item, { borderColor: palette.hairline }]}>
      <View style={styles.head}>
        {calendar && (
          <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={13} />
        )}
        <View style={styles.text}>
          <Text style={styles.title}>{titleOf(date)}</Text>
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {when} · on “{blockedBy || 'Untitled'}”
          </Text>
        </View>
      </View>
      <View style={styles.outcome}>
        <Icon
          name={stays ? 'minus' : action === 'skip' ? 'calendar-remove-outline' : 'arrow-right'}
          size={16}
          color={stays ? palette.dim : palette.accent}
        />
        <Text variant="bodySmall" style={{ color: stays ? palette.dim : palette.ink }}>
          {sayStep(step, say)}
        </Text>
      </View>
      <Choice<SweepAction>
        name={`${titleOf(date)}, ${when}`}
        isNameHidden
        value={action}
        options={ACTIONS}
        onChoose={onChoose}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  item: { borderBottomWidth: 1, paddingVertical: 10, gap: 6 },
  head: { flexDirection: 'row', gap: 10, alignItems: 'flex-start' },
  text: { flex: 1, minWidth: 0 },
  title: { fontWeight: '600' },
  outcome: { flexDirection: 'row', gap: 6, alignItems: 'center' },
});
