import { StyleSheet, View } from 'react-native';
import { HelperText } from 'react-native-paper';
import type { BulkStep, Matching } from '@/core/model/bulkSteps';
import { REWRITTEN } from '@/core/model/bulkSteps';
import type { Calendar } from '@/core/model/calendar';
import type { Category } from '@/core/model/others';
import type { Preferences } from '@/data/preferences';
import { AVAILABILITIES, IMPORTANCE_CHOICES } from '@/features/event/choices';
import { ReminderList } from '@/features/reminders/ReminderList';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { CategoryChips } from '@/ui/CategoryChips';
import { Choice } from '@/ui/Choice';
import { IconChoice } from '@/ui/IconChoice';
import { InkChoice } from '@/ui/InkChoice';
import { NumberField } from '@/ui/NumberField';
import { TextField } from '@/ui/TextField';
import { ToggleGroup } from '@/ui/ToggleGroup';
import { TimeStepEditor } from './TimeStepEditor';

export interface StepSetting {
  calendars: readonly Calendar[];
  categories: readonly Category[];
  preferences: Preferences;
}

interface Props {
  step: BulkStep;
  setting: StepSetting;
  onChange(step: BulkStep): void;
}

const TEXTS = [
  { value: 'title' as const, label: 'Title' },
  { value: 'place' as const, label: 'Place' },
  { value: 'notes' as const, label: 'Notes' },
  { value: 'link' as const, label: 'Link' },
].filter(({ value }) => REWRITTEN.includes(value));

const MATCHINGS: { value: Matching; label: string }[] = [
  { value: 'any', label: 'In any case' },
  { value: 'case', label: 'As written' },
  { value: 'words', label: 'Whole words' },
  { value: 'pattern', label: 'A pattern' },
];

function Categories({
  step,
  setting,
  onChange,
}: Props & { step: { kind: 'categories' } & BulkStep }) {
  const { categories } = setting;
  return (
    <View style={styles.all}>
      <Choice
        name="What becomes of those that they have"
        value={step.isReplaced}
        options={[
          { value: false, label: 'They stay' },
          { value: true, label: 'They go' },
        ]}
        onChoose={(isReplaced) => onChange({ ...step, isReplaced, remove: [] })}
      />
      <View style={styles.all} role="group" aria-label="Categories to add">
        <HelperText type="info" padding="none">
          Add
        </HelperText>
        <CategoryChips
          categories={categories}
          chosen={step.add}
          onChange={(add) => onChange({ ...step, add })}
        />
      </View>
      {!step.isReplaced && (
        <View style={styles.all} role="group" aria-label="Categories to take away">
          <HelperText type="info" padding="none">
            Take away
          </HelperText>
          <CategoryChips
            categories={categories}
            chosen={step.remove}
            onChange={(remove) => onChange({ ...step, remove })}
          />
        </View>
      )}
    </View>
  );
}

function Replace({ step, onChange }: Props & { step: { kind: 'replace' } & BulkStep }) {
  return (
    <View style={styles.all}>
      <TextField
        label={step.matching === 'pattern' ? 'Pattern' : 'Find'}
        value={step.find}
        onChangeText={(find) => onChange({ ...step, find })}
      />
      <TextField
        label="Replace with"
        value={step.with}
        onChangeText={(text) => onChange({ ...step, with: text })}
      />
      <Choice
        name="Found"
        value={step.matching}
        options={MATCHINGS}
        onChoose={(matching) => onChange({ ...step, matching })}
      />
      <ToggleGroup
        name="In"
        options={TEXTS}
        chosen={step.fields}
        onChange={(fields) => fields.length && onChange({ ...step, fields })}
      />
    </View>
  );
}

/** What a step needs to know, to be put in. */
export default function StepEditor(props: Props) {
  const { step, setting, onChange } = props;
  const { preferences, calendars } = setting;
  switch (step.kind) {
    case 'calendar':
      return (
        <CalendarChoice
          calendars={calendars.filter(({ kind }) => kind === 'own')}
          chosenId={step.calendarId}
          onChoose={(calendarId) => onChange({ ...step, calendarId })}
        />
      );
    case 'categories':
      return <Categories {...props} step={step} />;
    case 'ink':
      return (
        <View style={styles.all}>
          <InkChoice
            name="Ink"
            ink={step.ink}
            onChoose={(ink) => onChange({ ...step, ink: ink ?? null })}
          />
          <Choice
            name="Ink of their own"
            isNameHidden
            value={step.ink === null}
            options={[{ value: true, label: 'As their calendar has it' }]}
            onChoose={() => onChange({ ...step, ink: null })}
          />
        </View>
      );
    case 'icon':
      return (
        <IconChoice
          icon={step.icon ?? undefined}
          onChoose={(icon) => onChange({ ...step, icon: icon ?? null })}
        />
      );
    case 'availability':
      return (
        <Choice
          name="While they last I am"
          value={step.availability}
          options={AVAILABILITIES}
          onChoose={(availability) => onChange({ ...step, availability })}
        />
      );
    case 'visibility':
      return (
        <Choice
          name="Seen by others"
          value={step.visibility}
          options={[
            { value: 'public', label: 'Public' },
            { value: 'private', label: 'Private' },
          ]}
          onChoose={(visibility) => onChange({ ...step, visibility })}
        />
      );
    case 'importance':
      return (
        <Choice
          name="How much they matter"
          value={step.importance}
          options={IMPORTANCE_CHOICES}
          onChoose={(importance) => onChange({ ...step, importance })}
        />
      );
    case 'reminders':
      return (
        <View style={styles.all}>
          <Choice
            name="Reminders"
            isNameHidden
            value={step.how}
            options={[
              { value: 'set', label: 'Only these' },
              { value: 'add', label: 'These too' },
              { value: 'clear', label: 'None' },
              { value: 'follow', label: 'As their calendar has it' },
            ]}
            onChoose={(how) => onChange({ ...step, how })}
          />
          {(step.how === 'set' || step.how === 'add') && (
            <ReminderList
              name="Reminders to set"
              begin={{ wholeDay: false, start: null }}
              reminders={step.reminders}
              preferences={preferences}
              onChange={(reminders) => onChange({ ...step, reminders })}
            />
          )}
        </View>
      );
    case 'text':
      return (
        <View style={styles.all}>
          <Choice
            name="Set"
            value={step.field}
            options={TEXTS}
            onChoose={(field) => onChange({ ...step, field })}
          />
          <TextField
            label="To"
            value={step.text}
            onChangeText={(text) => onChange({ ...step, text })}
          />
        </View>
      );
    case 'replace':
      return <Replace {...props} step={step} />;
    case 'prefix':
    case 'suffix':
      return (
        <TextField
          label={step.kind === 'prefix' ? 'Before the title' : 'After the title'}
          value={step.text}
          onChangeText={(text) => onChange({ ...step, text })}
        />
      );
    case 'number':
      return (
        <NumberField
          label="Number from"
          value={step.from}
          min={0}
          max={99_999}
          onChange={(from) => onChange({ ...step, from })}
        />
      );
    case 'trim':
      return <HelperText type="info">In titles and places.</HelperText>;
    case 'removeFiles':
      return <HelperText type="info">Undo brings them back.</HelperText>;
    default:
      return <TimeStepEditor step={step} preferences={preferences} onChange={onChange} />;
  }
}

const styles = StyleSheet.create({
  all: { gap: 6 },
});
