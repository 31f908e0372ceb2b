import { StyleSheet } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayTimes } from '@/core/editing/bothTimes';
import { saySeries } from '@/core/editing/series/sayScopes';
import { sayWorkday, workdayOf } from '@/core/model/workweek';
import { dayOfWall } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { timesOf } from '@/core/editing/form';
import { BegunBefore } from '@/features/event/BegunBefore';
import { Consequences } from '@/features/event/Consequences';
import { Foresight } from '@/features/event/Foresight';
import { sayExtras, formatStanding } from '@/core/jot/extras';
import { formatNamedDays } from '@/core/jot/namedDays';
import { RemindersPart, sayWhose } from '@/features/reminders/RemindersPart';
import { ByRule } from '@/features/tidy/ByRule';
import { RepeatFields } from '@/features/event/RepeatFields';
import { TimesFields } from '@/features/event/TimesFields';
import { Understood } from '@/features/event/Understood';
import { PanelFrame } from '@/ui/PanelFrame';
import { HelpMark } from '@/features/help/HelpMark';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { Unreadable } from '@/ui/unreadable';
import { AddBelongings } from './AddBelongings';
import { AsTask } from './AsTask';
import { FreeTime } from './FreeTime';
import { JotHints } from '@/features/now/JotHints';
import { JottedLine } from './JottedLine';
import type { Adding } from './useAdding';
import { useAdding } from './useAdding';
import { capital } from '@/core/time/words';

interface Props extends Adding {
  /** Asks about the work of the day that was pressed; null when no day was. */
  onWork: (() => void) | null;
  onClose(): void;
}

/** A new event in one line: what was typed, what it was understood to mean, and each part open to correction. */
export function AddCard({ onWork, onClose, ...adding }: Props) {
  const { day, calendars, preferences, onAllDetails } = adding;
  const { clock, wording, settings } = preferences;
  const palette = usePalette();
  const { line, type, before, goOn, letGo, jot, correct, open, toggle, span, ...made } =
    useAdding(adding);
  const { times, place, repeat, calendar } = made;
  const { event, roomed, problem, instant, atHome, itsOwn, canKeep, report, keep } = made;
  const { read, asLastTime, byRule, isTask } = made;
  const now = wallFromInstant(instant, clock);
  const extras = capital(
    [sayExtras(event), formatStanding(jot.extras)].filter(Boolean).join(' · '),
  );
  return (
    <Unreadable value={report}>
      <PanelFrame
        title={isTask ? 'Add a task' : 'Add an event'}
        onClose={onClose}
        footer={
          <>
            <HelpMark topic="add" about="typing an event in one line" />
            {!isTask && (
              <Button onPress={() => problem === null && void roomed().then(onAllDetails)}>
                All details
              </Button>
            )}
            <Button mode="contained" onPress={() => void keep()} disabled={!canKeep}>
              {isTask ? 'Keep the task' : 'Keep'}
            </Button>
          </>
        }
      >
        <TextField
          label="What, when, where"
          placeholder="Freight call Thu 14:00 for 90 min at Quay 3"
          value={line}
          onChangeText={type}
          onKeyPress={read.onKeyPress}
          onSubmitEditing={() => void keep()}
          autoFocus
        />
        {before && (
          <BegunBefore onGoOn={goOn} onLetGo={letGo}>
            {`Begun and not added: “${before.title}”`}
          </BegunBefore>
        )}
        {jot.parts.length > 0 && <JottedLine line={line} parts={jot.parts} />}
        <JotHints
          jot={{ ...read, guesses: made.guesses, title: jot.title, zone: jot.zone }}
          other={read.other}
          now={now}
          wording={wording}
          onOther={read.takeOther}
        />
        {made.hasOpenHour && (
          <FreeTime
            span={span}
            preferences={preferences}
            onTake={(free) => correct({ times: timesOf(free) })}
          />
        )}
        {made.task && (
          <AsTask task={made.task} isTask={isTask} onChoose={(isTask) => correct({ isTask })} />
        )}
        {asLastTime && (
          <Button compact icon="history" onPress={asLastTime.take} style={styles.last}>
            {`As last time: ${asLastTime.says}`}
          </Button>
        )}
        <ByRule {...byRule} />
        {!isTask && (
          <Understood
            icon="clock-outline"
            name="When"
            value={sayTimes(event, now, clock, wording)}
            isOpen={open === 'when'}
            onPress={() => toggle('when')}
          />
        )}
        {open === 'when' && !isTask && (
          <TimesFields
            times={times}
            preferences={preferences}
            onChange={(next) => correct({ times: next })}
          />
        )}
        {onWork && (
          <Understood
            icon="briefcase-clock-outline"
            name="Work that day"
            value={sayWorkday(workdayOf(day, settings.workweek), wording.hourCycle)}
            isOpen={false}
            hasName
            onPress={onWork}
          />
        )}
        {atHome && (
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {atHome}
          </Text>
        )}
        {itsOwn && (
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {itsOwn}
          </Text>
        )}
        <Understood
          icon="repeat"
          name="Repeats"
          value={
            capital(
              [saySeries(event, instant, wording), formatNamedDays(jot, wording)]
                .filter(Boolean)
                .join(' · '),
            ) || 'Once'
          }
          isOpen={open === 'repeat'}
          onPress={() => toggle('repeat')}
        />
        {open === 'repeat' && (
          <RepeatFields
            repeat={repeat}
            day={dayOfWall(span.start)}
            preferences={preferences}
            onChange={(next) => correct({ repeat: next })}
          />
        )}
        <Understood
          icon="bell-outline"
          name="Reminders"
          value={sayWhose({ ...event, ...span }, calendar, preferences)}
          isOpen={open === 'reminders'}
          onPress={() => toggle('reminders')}
        />
        {open === 'reminders' && (
          <RemindersPart
            reminders={event.reminders}
            availability={event.availability}
            begin={span}
            hasTravel={event.travelBefore > 0}
            calendar={calendar}
            preferences={preferences}
            onChange={(reminders) => correct({ reminders })}
          />
        )}
        {extras !== '' && (
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {extras}
          </Text>
        )}
        {!isTask && (
          <Understood
            icon="map-marker-outline"
            name="Where"
            value={place || 'No place'}
            isOpen={open === 'where'}
            onPress={() => toggle('where')}
          />
        )}
        {open === 'where' && (
          <TextField
            label="Place"
            value={place}
            onChangeText={(text) => correct({ place: text })}
          />
        )}
        <AddBelongings made={made} correct={correct} calendars={calendars} />
        {!problem && event.rule === undefined && (
          <Consequences
            span={span}
            isBooked={calendar?.defaultAvailability !== 'free'}
            travel={event}
            ownEventId={null}
            preferences={preferences}
          />
        )}
        {!problem && event.rule !== undefined && (
          <Foresight event={event} preferences={preferences} />
        )}
      </PanelFrame>
    </Unreadable>
  );
}

const styles = StyleSheet.create({
  last: { alignSelf: 'flex-start' },
});
