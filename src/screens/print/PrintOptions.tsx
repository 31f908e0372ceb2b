import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import type { PrintSetup } from '@/core/model/print';
import { BESIDES, PAPERS, PRINT_FORMS } from '@/core/model/print';
import { formatDate, parseDate } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { usePreferences } from '@/data/preferences';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { DayField } from '@/ui/DayField';
import { NumberField } from '@/ui/NumberField';
import { TextField } from '@/ui/TextField';
import { Title } from '@/ui/Title';
import { PrintedEvents } from './PrintedEvents';

interface Props {
  setup: PrintSetup;
  /** Whether days are printed, which have a form. */
  isOfDays: boolean;
  /** The days that are seen, the last excluded. */
  range: { from: DayNumber; to: DayNumber };
  seen: NonNullable<PrintSetup['only']>;
  onChange(fields: Partial<PrintSetup>): void;
}

const FORM_WORDS: Readonly<Record<(typeof PRINT_FORMS)[number], string>> = {
  rows: 'Rows',
  columns: 'Columns',
  grid: 'Grid',
  year: 'Small months',
  agenda: 'Agenda',
  table: 'Table',
  load: 'Booked hours',
};
const BESIDE_WORDS: Readonly<Record<(typeof BESIDES)[number], string>> = {
  nothing: 'Nothing',
  tasks: 'Tasks',
  notes: 'Notes',
  lines: 'Lines to write on',
};

/** Which days, in which form, on which pages. */
function Days({ setup, range, seen, onChange }: Omit<Props, 'isOfDays'>) {
  const { wording, firstWeekday } = usePreferences();
  const from = setup.days ? parseDate(setup.days.from) : range.from;
  const to = setup.days ? parseDate(setup.days.to) : range.to - 1;
  const choose = (first: DayNumber, last: DayNumber) =>
    onChange({ days: { from: formatDate(first), to: formatDate(Math.max(first, last)) } });
  return (
    <View style={styles.part}>
      <DayField
        label="First day"
        day={from}
        {...{ wording, firstWeekday }}
        onChange={(day) => choose(day, to)}
      />
      <DayField
        label="Last day"
        day={to}
        {...{ wording, firstWeekday }}
        onChange={(day) => choose(Math.min(from, day), day)}
      />
      {setup.days && (
        <Button compact style={styles.start} onPress={() => onChange({ days: null })}>
          As seen
        </Button>
      )}
      <PrintedEvents only={setup.only} seen={seen} onChange={(only) => onChange({ only })} />
      <Choice
        name="Form"
        value={setup.form}
        options={PRINT_FORMS.map((value) => ({ value, label: FORM_WORDS[value] }))}
        onChoose={(form) => onChange({ form })}
      />
      <Choice
        name="A page holds"
        value={setup.by}
        options={[
          { value: 'week', label: 'A week' },
          { value: 'month', label: 'A month' },
          { value: 'all', label: 'All days' },
        ]}
        onChoose={(by) => onChange({ by })}
      />
      {(setup.form === 'rows' || setup.form === 'columns') && (
        <Choice
          name="Hours"
          value={setup.hours}
          options={[
            { value: 'shown', label: 'Those shown' },
            { value: 'events', label: 'As far as there are events' },
          ]}
          onChoose={(hours) => onChange({ hours })}
        />
      )}
    </View>
  );
}

/** What is said of each event, and what stands beside the days. */
function Contents({ setup, onChange }: Pick<Props, 'setup' | 'onChange'>) {
  const { wording } = usePreferences();
  return (
    <View style={styles.part}>
      <Title level={2}>Of each event</Title>
      <Check
        label="Its place"
        isOn={setup.hasPlaces}
        onChange={(hasPlaces) => onChange({ hasPlaces })}
      />
      <Check
        label="Its notes"
        isOn={setup.hasNotes}
        onChange={(hasNotes) => onChange({ hasNotes })}
      />
      <Check
        label="Its guests"
        isOn={setup.hasGuests}
        onChange={(hasGuests) => onChange({ hasGuests })}
      />
      <Check
        label="Titles of private events"
        isOn={setup.hasPrivate}
        onChange={(hasPrivate) => onChange({ hasPrivate })}
      />
      <Title level={2}>Besides</Title>
      <Choice
        name="Beside the days"
        value={setup.beside}
        options={BESIDES.map((value) => ({ value, label: BESIDE_WORDS[value] }))}
        onChoose={(beside) => onChange({ beside })}
      />
      <Check
        label="Last, this and next month"
        isOn={setup.hasMonths}
        onChange={(hasMonths) => onChange({ hasMonths })}
      />
      <Check
        label="Week numbers"
        isOn={setup.hasWeekNumbers}
        onChange={(hasWeekNumbers) => onChange({ hasWeekNumbers })}
      />
      <ZonePicker
        label="Hours of another zone"
        placeholder="None"
        zone={setup.zone}
        hourCycle={wording.hourCycle}
        onChoose={(zone) => onChange({ zone })}
        {...(setup.zone !== null && {
          other: { label: 'No other zone', onPress: () => onChange({ zone: null }) },
        })}
      />
    </View>
  );
}

/** How something is put on paper. */
export function PrintOptions({ setup, isOfDays, range, seen, onChange }: Props) {
  return (
    <>
      {isOfDays && <Days {...{ setup, range, seen, onChange }} />}
      <View style={styles.part}>
        <Title level={2}>Paper</Title>
        <Choice
          name="Size"
          value={setup.paper}
          options={PAPERS.map((value) => ({ value, label: value }))}
          onChoose={(paper) => onChange({ paper })}
        />
        <Choice
          name="It lies"
          value={setup.isUpright}
          options={[
            { value: true, label: 'Upright' },
            { value: false, label: 'Across' },
          ]}
          onChoose={(isUpright) => onChange({ isUpright })}
        />
        <NumberField
          label="Margin"
          unit="mm"
          value={setup.margin}
          min={5}
          max={30}
          onChange={(margin) => onChange({ margin })}
        />
        <NumberField
          label="Letters"
          unit="points"
          value={setup.size}
          min={6}
          max={14}
          onChange={(size) => onChange({ size })}
        />
        <Check
          label="Save ink: marks and outlines"
          isOn={setup.isSaving}
          onChange={(isSaving) => onChange({ isSaving })}
        />
        <TextField
          label="Title"
          value={setup.title}
          maxLength={200}
          onChangeText={(title) => onChange({ title })}
        />
        <Check
          label="Page and date at the foot"
          isOn={setup.hasFooter}
          onChange={(hasFooter) => onChange({ hasFooter })}
        />
      </View>
      {isOfDays && <Contents {...{ setup, onChange }} />}
    </>
  );
}

const styles = StyleSheet.create({ part: { gap: 8 }, start: { alignSelf: 'flex-start' } });
