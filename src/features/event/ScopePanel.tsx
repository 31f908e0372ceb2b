import { useEffect, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { ChangedDatesFate, DateEdit, Scope } from '@/core/editing/series/edit';
import { SCOPE_NAMES, sayOutcome, sayReach } from '@/core/editing/series/sayScopes';
import type { ScopeChoice } from '@/core/editing/series/scopes';
import { scopeChoices } from '@/core/editing/series/scopes';
import { zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { parseLocal } from '@/core/time/civil';
import { count, SHORT_DAY, saySpan } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { titleOf } from '@/core/model/titleOf';
import type { Reach } from '@/engine/commands/series';
import { useMessages } from '@/data/messages';
import type { Preferences } from '@/data/preferences';
import { PanelFrame } from '@/ui/PanelFrame';
import { Choice } from '@/ui/Choice';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
import { HelpMark } from '@/features/help/HelpMark';
import { RadioGroup } from '@/ui/RadioGroup';

interface Props {
  event: CalendarEvent;
  /** The date of the series that was acted on. */
  dateKey: string;
  /** What is about to be done, as a button says it: "Move", "Remove". */
  verb: string;
  /** What is to change; null where nothing does, as in removing. */
  edit: DateEdit | null;
  preferences: Preferences;
  onChoose(reach: Reach): Promise<unknown>;
  onCancel(): void;
}

const FATES = [
  { value: 'keep' as const, label: 'Keep what they have' },
  { value: 'follow' as const, label: 'Follow this change' },
];

function ScopeOption({
  choice,
  outcome,
  isChosen,
  onPress,
}: {
  choice: ScopeChoice;
  outcome: string | null;
  isChosen: boolean;
  onPress(): void;
}) {
  const palette = usePalette();
  const isRefused = choice.refusal !== null;
  const reach = sayReach(choice);
  return (
    <Pressable
      role="radio"
      aria-checked={isChosen}
      aria-disabled={isRefused}
      aria-label={`${SCOPE_NAMES[choice.scope]}: ${reach}`}
      disabled={isRefused}
      onPress={onPress}
      style={[
        styles.option,
        {
          borderColor: isChosen ? palette.accent : palette.hairline,
          backgroundColor: isChosen ? palette.accentWash : palette.sheet,
        },
      ]}
    >
      <View style={[styles.dot, { borderColor: isChosen ? palette.accent : palette.dim }]}>
        {isChosen && <View style={[styles.core, { backgroundColor: palette.accent }]} />}
      </View>
      <View style={styles.text}>
        <Text style={[styles.name, isRefused && { color: palette.dim }]}>
          {SCOPE_NAMES[choice.scope]}
        </Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {reach}
        </Text>
        {outcome && !isRefused && <Text variant="bodySmall">{outcome}</Text>}
        {choice.refusal && (
          <Text variant="bodySmall" style={{ color: palette.brick }}>
            {choice.refusal}
          </Text>
        )}
      </View>
    </Pressable>
  );
}

/** How many dates the button speaks of. */
function reachWords({ scope, dates }: ScopeChoice): string {
  if (scope === 'this') return 'this date';
  if (dates.isEndless || dates.isCut) return scope === 'later' ? 'later dates' : 'every date';
  return count(dates.count, 'date');
}

/** Which dates of a series an action reaches: each scope says how many, and what becomes of those changed by hand. */
export function ScopePanel(props: Props) {
  const { event, dateKey, verb, edit, preferences, onChoose, onCancel } = props;
  const { wording, clock } = preferences;
  const [now] = useState(() => Date.now());
  const { giveWay } = useMessages();
  // On a phone the answer to the action before would lie over the choices.
  useEffect(giveWay, [giveWay]);
  const choices = useMemo(() => {
    const wallNow = wallFromInstant(now, zoneOf(event.start) ?? clock);
    return scopeChoices(event, dateKey, edit, wallNow).map((choice) => ({
      choice,
      outcome:
        edit && choice.refusal === null
          ? sayOutcome(event, dateKey, edit, choice.scope, wording, now)
          : null,
    }));
  }, [event, dateKey, edit, now, clock, wording]);
  const [scope, setScope] = useState<Scope>(choices[0]!.choice.scope);
  const [fate, setFate] = useState<ChangedDatesFate>('keep');
  const [isBusy, setBusy] = useState(false);
  const { choice } = choices.find((one) => one.choice.scope === scope) ?? choices[0]!;
  const wall = parseLocal(dateKey);
  const planned = saySpan(
    { start: wall, end: wall, wholeDay: !dateKey.includes('T') },
    wording,
    SHORT_DAY,
  ).replace(/ – .*/, '');

  async function choose() {
    setBusy(true);
    await onChoose({ scope, fate });
    setBusy(false);
  }

  return (
    <PanelFrame
      title={`${verb} “${titleOf(event)}”`}
      onClose={onCancel}
      footer={
        <>
          <Button onPress={onCancel}>Cancel</Button>
          <Button
            mode="contained"
            disabled={isBusy || choice.refusal !== null}
            onPress={() => void choose()}
          >
            {verb} {reachWords(choice)}
          </Button>
        </>
      }
    >
      <View style={styles.asks}>
        <Text style={styles.asked}>
          This is the date of {planned} in a series. What should it reach?
        </Text>
        <HelpMark topic="repeat" about="dates of a series" />
      </View>
      <RadioGroup name="Which dates" style={styles.options}>
        {choices.map((one) => (
          <ScopeOption
            key={one.choice.scope}
            {...one}
            isChosen={one.choice === choice}
            onPress={() => setScope(one.choice.scope)}
          />
        ))}
      </RadioGroup>
      {choice.contradicted > 0 && (
        <Choice<ChangedDatesFate>
          name={`${count(choice.contradicted, 'date')} changed by hand ${choice.contradicted === 1 ? 'has' : 'have'} something else here`}
          value={fate}
          options={FATES}
          onChoose={setFate}
        />
      )}
      {choice.contradicted === 0 && choice.scope !== 'this' && choice.changed > 0 && (
        <View style={styles.note}>
          <Icon name={edit ? 'check' : 'alert-outline'} size={16} />
          <Text variant="bodySmall">
            {edit
              ? 'Dates changed by hand keep what was changed.'
              : 'Dates changed by hand go with the others.'}
          </Text>
        </View>
      )}
    </PanelFrame>
  );
}

const styles = StyleSheet.create({
  asks: { flexDirection: 'row', alignItems: 'flex-start' },
  asked: { flex: 1, minWidth: 0 },
  options: { gap: 8 },
  option: {
    flexDirection: 'row',
    gap: 10,
    minHeight: 48,
    padding: 10,
    borderWidth: 1,
    borderRadius: 8,
  },
  dot: {
    width: 18,
    height: 18,
    borderWidth: 2,
    borderRadius: 9,
    marginTop: 1,
    alignItems: 'center',
    justifyContent: 'center',
  },
  core: { width: 8, height: 8, borderRadius: 4 },
  text: { flex: 1, minWidth: 0, gap: 1 },
  name: { fontWeight: '600' },
  note: { flexDirection: 'row', gap: 6, alignItems: 'center' },
});
