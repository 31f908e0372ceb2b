import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { calendarForNew } from '@/core/calendars/showing';
import { draftOf } from '@/core/editing/drafting';
import { meetingTitle } from '@/core/people/guests';
import { describeOffer } from '@/core/people/describeOffer';
import { NO_REPEAT } from '@/core/recurrence/repeat';
import { MINUTE } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { count } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { download } from '@/data/browser';
import { useMessages } from '@/data/messages';
import { NO_CALENDAR, useOnceOpen } from '@/data/onceOpen';
import { usePeople } from '@/data/people';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import type { Guest } from '@/engine/people/people';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { ToggleGroup } from '@/ui/ToggleGroup';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  starts: readonly EpochMs[];
  minutes: number;
  guests: readonly Guest[];
  onBack(): void;
  onClose(): void;
}

/** Chosen times as a text to paste and a file to send, and holding them until one is taken. */
export function OfferDialog({ starts, minutes, guests, onBack, onClose }: Props) {
  const palette = usePalette();
  const act = useDo();
  const { engine } = useEngine();
  const { say, complain } = useMessages();
  const people = usePeople();
  const { zone: home, clock, wording, settings, workdays } = usePreferences();
  const calendar = calendarForNew(useCalendars(), settings.defaultCalendarId);
  const asked = people.filter(
    ({ id, kind }) => kind === 'person' && guests.some((guest) => guest.id === id),
  );
  const offeredZones = [...new Set([home, ...asked.map(({ zone }) => zone)])];
  const [title, setTitle] = useState(() => meetingTitle(guests, people));
  const [zones, setZones] = useState<string[]>(offeredZones);
  const told = offeredZones.filter((zone) => zones.includes(zone));
  const offered = { title: title.trim(), minutes, starts, zones: told.length ? told : [home] };
  const text = describeOffer(offered, wording);

  /** A tentative event for each time. */
  const held = () =>
    starts.map((start) => {
      const from = wallFromInstant(start, clock);
      const event = draftOf({
        span: { start: from, end: from + minutes * MINUTE, wholeDay: false, lasts: true },
        fields: {
          id: nanoid(12),
          calendarId: calendar?.id ?? '',
          title: `Held: ${title.trim() || 'Meeting'}`,
        },
        calendar: calendar ?? undefined,
        repeat: NO_REPEAT,
        clock,
        workdays,
        now: Date.now(),
      });
      return { ...event, availability: 'tentative' as const };
    });

  async function copy(what: string) {
    try {
      await navigator.clipboard.writeText(what);
      say('Copied the offer.');
    } catch {
      complain('The browser does not let it be copied: mark the text and copy it by hand.');
    }
  }
  async function save() {
    if (!engine) return;
    const events = held().map((event) => ({ ...event, title: title.trim() }));
    download(
      `${title.trim() || 'Offer'}.ics`,
      await engine.people.offerFile(events, Date.now()),
      'text/calendar',
    );
  }
  async function hold(isCopied = false) {
    if (!calendar) return say(NO_CALENDAR);
    const events = held();
    const offer = {
      id: nanoid(12),
      title: title.trim() || 'Meeting',
      minutes,
      guestIds: guests.map(({ id }) => id),
      zones: told,
      times: events.map(({ id }, i) => ({ start: starts[i]!, eventId: id })),
      made: Date.now(),
    };
    if (!(await act({ kind: 'keepOffer', offer, events }))) return;
    if (isCopied) await copy(describeOffer({ ...offered, isHeld: true }, wording));
    onClose();
  }

  const holdOnceOpen = useOnceOpen(() => hold());
  const holdAndCopy = useOnceOpen(() => hold(true));

  return (
    <Dialog
      title={`Offer ${count(starts.length, 'time')}`}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onBack}>Back</Button>
          <Button mode="outlined" onPress={holdAndCopy}>
            Hold and copy
          </Button>
          <Button mode="contained" onPress={holdOnceOpen}>
            Hold them
          </Button>
        </>
      }
    >
      <View style={styles.all}>
        <TextField label="What it is" value={title} onChangeText={setTitle} />
        {offeredZones.length > 1 && (
          <ToggleGroup
            name="Times by the clocks of"
            options={offeredZones.map((value) => ({ value, label: cityOf(value) }))}
            chosen={zones}
            onChange={setZones}
          />
        )}
        <View
          role="group"
          aria-label="The offer as a text"
          style={[styles.text, { borderColor: palette.hairline, backgroundColor: palette.sheet }]}
        >
          <div style={{ color: palette.ink, whiteSpace: 'pre-wrap' }}>{text}</div>
        </View>
        <View style={styles.buttons}>
          <Button mode="outlined" icon="content-copy" onPress={() => void copy(text)}>
            Copy the text
          </Button>
          <Button mode="outlined" icon="calendar-export" onPress={() => void save()}>
            Save as a file
          </Button>
        </View>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          Held times stand on the sheet as tentative. When one is taken, say so under People: the
          others are let go. Those that nobody took go by themselves.
        </Text>
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  all: { gap: 10, width: 'min(86vw, 520px)' } as object,
  text: { borderWidth: 1, borderRadius: 8, padding: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
