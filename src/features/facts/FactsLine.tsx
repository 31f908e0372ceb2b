import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { factIcon, inFactOrder, sayFact } from '@/core/agenda/facts';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { DayNumber } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { sayDay } from '@/core/time/words';
import { useCalendars, useEvent } from '@/data/queries';
import { Dialog } from '@/ui/Dialog';
import { Icon } from '@/ui/icons/Icon';
import { LinkedText } from '@/ui/LinkedText';
import { PlainIcon } from '@/ui/icons/PlainIcon';
import { usePalette } from '@/ui/theme/theme';

const LONG = { weekday: 'long', day: 'numeric', month: 'long' } as const;

interface Props {
  day: DayNumber;
  facts: readonly Occurrence[];
  wording: Wording;
  /** Where it stands in what is around it, in px; without it, it flows. */
  at?: { left: number; top: number; width: number; height: number };
  /** Whether there is only room for icons. */
  isTight?: boolean;
}

/** A fact with all that is told of it. */
function Fact({
  fact,
  wording,
  calendarName,
}: {
  fact: Occurrence;
  wording: Wording;
  calendarName: string;
}) {
  const palette = usePalette();
  const { data: event } = useEvent(fact.eventId);
  return (
    <View role="listitem" style={styles.fact}>
      <Icon name={factIcon(fact)} size={22} color={palette.accent} />
      <View style={styles.words}>
        <Text style={styles.title}>{sayFact(fact, wording)}</Text>
        {event && event.notes !== '' && <LinkedText>{event.notes}</LinkedText>}
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {[fact.place, calendarName].filter(Boolean).join(' · ')}
        </Text>
      </View>
    </View>
  );
}

/** The facts of a day in small text; a press tells them in full. */
export function FactsLine(props: Props) {
  // Most sheets have none, and many days.
  return props.facts.length ? <ToldFacts {...props} /> : null;
}

function ToldFacts({ day, facts, wording, at, isTight = false }: Props) {
  const palette = usePalette();
  const calendars = useCalendars();
  const [isOpen, setOpen] = useState(false);
  const told = inFactOrder(facts);
  const date = sayDay(day, wording, LONG);
  return (
    <>
      <button
        type="button"
        data-nodrag
        aria-haspopup="dialog"
        aria-label={`${told.map((fact) => sayFact(fact, wording)).join('; ')}. Facts of ${date}`}
        className={at ? 'day-facts day-facts-placed' : 'day-facts'}
        style={{ ...at, color: palette.dim }}
        onClick={() => setOpen(true)}
      >
        {told.map((fact) => (
          <span key={fact.id} className="day-fact">
            <PlainIcon name={factIcon(fact)} size={11} />
            {!isTight && <span>{sayFact(fact, wording)}</span>}
          </span>
        ))}
      </button>
      {isOpen && (
        <Dialog title={date} onClose={() => setOpen(false)}>
          <View role="list" aria-label={`Facts of ${date}`} style={styles.list}>
            {told.map((fact) => (
              <Fact
                key={fact.id}
                fact={fact}
                wording={wording}
                calendarName={calendars.find(({ id }) => id === fact.calendarId)?.name ?? ''}
              />
            ))}
          </View>
        </Dialog>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  list: { gap: 12, width: 'min(80vw, 420px)', paddingBottom: 8 } as object,
  fact: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  words: { flex: 1, minWidth: 0 },
  title: { fontWeight: '600' },
});
