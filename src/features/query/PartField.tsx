import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { CHECK_WORDS, EVENT_CHECKS } from '@/core/model/checks';
import type { Filter, FilterKind, FilterPart } from '@/core/model/filter';
import { FILTER_KINDS, TEXT_FIELDS } from '@/core/model/filter';
import type { Category } from '@/core/model/others';
import { FIELD_NAMES, KIND_NAMES } from '@/core/query/sayFilter';
import type { Weekday } from '@/core/time/civil';
import { cityOf } from '@/core/time/zoneNames';
import { AVAILABILITIES, IMPORTANCE_CHOICES } from '@/features/event/choices';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { CategoryChips } from '@/ui/CategoryChips';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { ToggleGroup } from '@/ui/ToggleGroup';
import { usePreferences } from '@/data/preferences';
import { usePalette } from '@/ui/theme/theme';
import { ChangedField } from './ChangedField';
import { DatesField } from './DatesField';
import { LengthField, TimeOfDayField } from './TimesFields';
import { capital, WEEKDAYS } from '@/core/time/words';

const KINDS: { value: FilterKind; label: string }[] = FILTER_KINDS.map((value) => ({
  value,
  label: capital(KIND_NAMES[value]),
}));

const FIELDS = TEXT_FIELDS.map((value) => ({ value, label: capital(FIELD_NAMES[value]) }));

const CHECKS = EVENT_CHECKS.map((value) => ({ value, label: CHECK_WORDS[value].name }));

const VISIBILITIES = [
  { value: 'public' as const, label: 'Public' },
  { value: 'private' as const, label: 'Private' },
];

/** The weekdays, from the one on which the person's week begins. */
const fromWeekday = (first: Weekday) =>
  WEEKDAYS.map((_, i) => {
    const value = (first + i) % WEEKDAYS.length;
    return { value, label: WEEKDAYS[value as Weekday] };
  });

interface Props {
  part: FilterPart;
  filter: Filter;
  calendars: readonly Calendar[];
  categories: readonly Category[];
  /** Whether there is room only for what is asked most. */
  isBrief?: boolean;
  onChange(fields: Partial<Filter>): void;
}

function ZonesField({ filter, onChange }: Pick<Props, 'filter' | 'onChange'>) {
  const { zones } = filter;
  const { wording } = usePreferences();
  return (
    <View style={styles.group}>
      {zones.length > 0 && (
        <View role="group" aria-label="Zones" style={styles.row}>
          {zones.map((zone) => (
            <ToggleChip
              key={zone}
              label={cityOf(zone)}
              isOn
              onPress={() => onChange({ zones: zones.filter((other) => other !== zone) })}
            />
          ))}
        </View>
      )}
      <ZonePicker
        key={zones.length}
        label="Add a zone"
        zone={null}
        hourCycle={wording.hourCycle}
        onChoose={(zone) => onChange({ zones: [...new Set([...zones, zone])] })}
      />
    </View>
  );
}

/** How one part of a question is asked. */
export function PartField({
  part,
  filter,
  calendars,
  categories,
  isBrief = false,
  onChange,
}: Props) {
  const { dim } = usePalette();
  const { firstWeekday } = usePreferences();
  switch (part) {
    case 'words':
      return (
        <View style={styles.group}>
          <TextField
            label="Words"
            placeholder="All of them; phrases in “quotes”"
            value={filter.text}
            onChangeText={(text) => onChange({ text })}
          />
          {!isBrief && (
            <ToggleGroup
              name="Only in"
              options={FIELDS}
              chosen={filter.textIn}
              onChange={(textIn) => onChange({ textIn })}
            />
          )}
        </View>
      );
    case 'place':
      return (
        <TextField
          label="Place"
          value={filter.place}
          onChangeText={(place) => onChange({ place })}
        />
      );
    case 'people':
      return (
        <TextField
          label="A name or an address"
          value={filter.people}
          onChangeText={(people) => onChange({ people })}
        />
      );
    case 'broughtIn':
      return (
        <TextField
          label="Name of the imported file"
          value={filter.broughtIn}
          onChangeText={(broughtIn) => onChange({ broughtIn })}
        />
      );
    case 'calendars':
      return (
        <ToggleGroup
          name="Any of these calendars"
          options={calendars.map(({ id, name }) => ({ value: id, label: name }))}
          chosen={filter.calendarIds}
          onChange={(calendarIds) => onChange({ calendarIds })}
        />
      );
    case 'categories':
      return categories.length > 0 ? (
        <View style={styles.group}>
          <Text variant="bodySmall" style={{ color: dim }}>
            Any of these categories
          </Text>
          <CategoryChips
            categories={categories}
            chosen={filter.categoryIds}
            onChange={(categoryIds) => onChange({ categoryIds })}
          />
        </View>
      ) : (
        <Text>There are no categories yet. They are made on the Calendars screen.</Text>
      );
    case 'kinds':
      return (
        <ToggleGroup
          name="Any of these kinds"
          options={KINDS}
          chosen={filter.kinds}
          onChange={(kinds) => onChange({ kinds })}
        />
      );
    case 'availability':
      return (
        <ToggleGroup
          name="Any of these availabilities"
          options={AVAILABILITIES}
          chosen={filter.availability}
          onChange={(availability) => onChange({ availability })}
        />
      );
    case 'importance':
      return (
        <ToggleGroup
          name="Any of these importances"
          options={IMPORTANCE_CHOICES}
          chosen={filter.importance}
          onChange={(importance) => onChange({ importance })}
        />
      );
    case 'visibility':
      return (
        <ToggleGroup
          name="Seen by others"
          options={VISIBILITIES}
          chosen={filter.visibility}
          onChange={(visibility) => onChange({ visibility })}
        />
      );
    case 'checks':
      return (
        <ToggleGroup
          name="Found by any of these checks"
          options={CHECKS}
          chosen={filter.checks}
          onChange={(checks) => onChange({ checks })}
        />
      );
    case 'zones':
      return <ZonesField filter={filter} onChange={onChange} />;
    case 'dates':
      return <DatesField dates={filter.dates} onChange={(dates) => onChange({ dates })} />;
    case 'weekdays':
      return (
        <ToggleGroup
          name="On any of these weekdays"
          options={fromWeekday(firstWeekday)}
          chosen={filter.weekdays}
          onChange={(weekdays) => onChange({ weekdays })}
        />
      );
    case 'timeOfDay':
      return (
        <TimeOfDayField
          timeOfDay={filter.timeOfDay}
          onChange={(timeOfDay) => onChange({ timeOfDay })}
        />
      );
    case 'length':
      return <LengthField length={filter.length} onChange={(length) => onChange({ length })} />;
    case 'changed':
      return (
        <ChangedField
          since={filter.changedSince}
          onChange={(changedSince) => onChange({ changedSince })}
        />
      );
  }
}

const styles = StyleSheet.create({
  group: { gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
