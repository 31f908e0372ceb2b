import { View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import type { Availability, Reminder } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import type { Begin } from '@/core/jot/reminders';
import { calendarReminders } from '@/core/reminders/following';
import { sayReminders } from '@/core/reminders/words';
import type { WallMs } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { ReminderList } from './ReminderList';

interface Subject {
  reminders: CalendarEvent['reminders'];
  availability: Availability;
  begin: Begin;
  hasTravel: boolean;
}

interface Props extends Subject {
  calendar: Calendar | undefined;
  preferences: Preferences;
  onChange(reminders: CalendarEvent['reminders']): void;
}

type Whose = 'calendar' | 'none' | 'own';

const whoseOf = (reminders: CalendarEvent['reminders']): Whose =>
  reminders === null ? 'calendar' : reminders.length ? 'own' : 'none';

/** What the calendar of an event has for it. */
const followed = ({ availability, begin }: Subject, calendar: Calendar | undefined) =>
  calendarReminders(calendar, { wholeDay: begin.wholeDay, availability });

/** Which reminders an event has, and whose they are: "Reminder 10 min before, as Workshop has it". */
export function sayWhose(
  subject: {
    reminders: readonly Reminder[] | null;
    availability: Availability;
    wholeDay: boolean;
    start: WallMs;
  },
  calendar: Calendar | undefined,
  { wording, clock }: Preferences,
): string {
  const { reminders } = subject;
  const has = reminders ?? calendarReminders(calendar, subject);
  const said = sayReminders(has, subject, { ...wording, clock });
  return reminders === null && calendar ? `${said}, as ${calendar.name} has it` : said;
}

/** The reminders of an event: those of its calendar, none, or its own. */
export function RemindersPart({ calendar, preferences, onChange, ...subject }: Props) {
  const { reminders, begin, hasTravel } = subject;
  const { wording, clock } = preferences;
  const there = followed(subject, calendar);
  const theirs = sayReminders(there, begin, { ...wording, clock }).replace(/^Reminder /, '');
  const choose: Record<Whose, () => void> = {
    calendar: () => onChange(null),
    none: () => onChange([]),
    // Own ones begin with those that it had.
    own: () => onChange(reminders?.length ? reminders : startingWith(there)),
  };
  return (
    <View style={{ gap: 8 }}>
      <Choice
        name="Reminders"
        isNameHidden
        value={whoseOf(reminders)}
        options={[
          {
            value: 'calendar',
            label: `As ${calendar?.name ?? 'its calendar'} has it: ${theirs.toLowerCase()}`,
          },
          { value: 'none', label: 'None' },
          { value: 'own', label: 'Its own' },
        ]}
        onChoose={(whose) => choose[whose]()}
      />
      {reminders !== null && reminders.length > 0 && (
        <ReminderList
          name="Its own reminders"
          reminders={reminders}
          begin={begin}
          hasTravel={hasTravel}
          preferences={preferences}
          onChange={onChange}
        />
      )}
    </View>
  );
}

const startingWith = (there: readonly Reminder[]): Reminder[] =>
  there.length ? [...there] : [{ minutes: -10, from: 'start' }];
