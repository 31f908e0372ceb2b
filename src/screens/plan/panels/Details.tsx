import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import { homeTimes, ownTimes } from '@/core/editing/bothTimes';
import { dateAsEvent } from '@/core/editing/series/dates';
import { sayLeaveBy } from '@/core/agenda/standing';
import { sayExtras } from '@/core/jot/extras';
import { calendarReminders } from '@/core/reminders/following';
import { sayPoints } from '@/core/page/points';
import { sayWhose } from '@/features/reminders/RemindersPart';
import { saySeries } from '@/core/editing/series/sayScopes';
import type { Calendar } from '@/core/model/calendar';
import { MINUTE } from '@/core/time/civil';
import { capital, sayLength, saySpan } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { useDo } from '@/data/commands';
import { useDraft } from '@/data/drafts';
import { useNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { pageAddress } from '@/data/pages';
import { useCategories, useEvent } from '@/data/queries';
import { GuestNewsLater } from '@/features/invitations/guestNewsLater';
import { JoinButton } from '@/features/rooms/JoinButton';
import { BegunBefore } from '@/features/event/BegunBefore';
import { FilesPart } from '@/features/event/FilesPart';
import { CategoryDot } from '@/ui/CategoryDot';
import { LinkedText } from '@/ui/LinkedText';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { Formatted } from '@/ui/markdown/Formatted';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { PanelFrame } from '@/ui/PanelFrame';

interface Props {
  occurrence: Occurrence;
  calendar: Calendar;
  preferences: Preferences;
  onEdit(): void;
  onCopy(): void;
  onRemove(): void;
  onSweep(): void;
  onClose(): void;
}

const LONG = { weekday: 'long', day: 'numeric', month: 'long' } as const;

function Line({ icon, children }: { icon: string; children: string }) {
  const { dim } = usePalette();
  return (
    <View style={styles.line}>
      <Icon name={icon} size={18} color={dim} />
      <LinkedText>{children}</LinkedText>
    </View>
  );
}

/** An event as it stands, with what can be done to it. */
export function Details(props: Props) {
  const {
    occurrence: o,
    calendar,
    preferences,
    onEdit,
    onCopy,
    onRemove,
    onSweep,
    onClose,
  } = props;
  const { clock, zone: home, wording } = preferences;
  const { data: event } = useEvent(o.eventId);
  const act = useDo();
  const router = useRouter();
  const instant = useNow();
  const palette = usePalette();
  const isSeries = o.dateKey !== null;
  const isFollowed = calendar.kind === 'followed';
  const date = event && dateAsEvent(event, o.dateKey);
  const away = date && ownTimes(date, clock, wording);
  const isHomes = o.zone === home && date?.end.kind === 'zoned' && date.end.zone === home;
  const atHome = isHomes ? null : homeTimes(o, clock, home, wording);
  const said = event && isSeries && saySeries(event, instant, wording);
  const change = o.dateKey === null ? undefined : event?.changedDates[o.dateKey];
  const text = {
    notes: change?.notes ?? event?.notes ?? '',
    link: change?.link ?? event?.link ?? '',
  };
  const place = (date ?? o).place;
  const categories = useCategories();
  const labels = categories.filter(({ id }) => o.categoryIds.includes(id));
  const isReminded = (o.reminders ?? calendarReminders(calendar, o)).length > 0;
  const extras = [sayExtras(o), capital(sayLeaveBy(o, wording))].filter(Boolean).join(' · ');
  const { draft: begun, drop: letGo } = useDraft(o.id);
  const length = o.wholeDay ? '' : ` (${sayLength((o.endMs - o.startMs) / MINUTE)})`;

  return (
    <PanelFrame
      // Who opens a private event wants to see it, whatever the sheet shows.
      title={titleOf(date ?? o)}
      onClose={onClose}
      footer={
        event &&
        !isFollowed && (
          <>
            {o.dateKey !== null && (
              <Button
                compact
                onPress={() =>
                  void act({
                    kind: 'removeSeriesDates',
                    id: event.id,
                    key: o.dateKey!,
                    scope: 'this',
                  }).then((done) => done && onClose())
                }
              >
                Skip
              </Button>
            )}
            <Button
              compact
              textColor={palette.brick}
              onPress={() =>
                isSeries
                  ? onRemove()
                  : void act({ kind: 'removeEvents', ids: [event.id] }).then(
                      (done) => done && onClose(),
                    )
              }
            >
              {isSeries ? 'Remove…' : 'Remove'}
            </Button>
            <Button compact onPress={onCopy}>
              Copy to…
            </Button>
            <Button mode="contained" icon="pencil-outline" onPress={onEdit}>
              Edit
            </Button>
          </>
        )
      }
    >
      {begun && (
        <BegunBefore onGoOn={onEdit} onLetGo={letGo}>
          {`Changed and not kept${begun.title === titleOf(date ?? o) ? '' : `: “${begun.title}”`}`}
        </BegunBefore>
      )}
      <Line icon="clock-outline">{saySpan(o, preferences.wording, LONG) + length}</Line>
      {away && <Line icon="earth">{away}</Line>}
      {date?.start.kind === 'floating' && (
        <Line icon="earth">Floating: this clock time wherever you are.</Line>
      )}
      {atHome && <Line icon="home-outline">{atHome}</Line>}
      {said && <Line icon="repeat">{said}</Line>}
      {(isReminded || o.reminders !== null) && (
        <Line icon="bell-outline">{sayWhose(o, calendar, preferences)}</Line>
      )}
      {extras !== '' && <Line icon={o.travelBefore > 0 ? 'walk' : 'flag-outline'}>{extras}</Line>}
      {o.changed && <Line icon="pencil-outline">This date was changed by hand.</Line>}
      <View style={styles.line}>
        <View style={styles.mark}>
          <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={14} />
        </View>
        <Text style={styles.text}>
          {calendar.name} · {o.availability}
          {o.visibility === 'private' ? ' · private' : ''}
        </Text>
      </View>
      {date && date.attendees.length > 0 && (
        <Line icon="account-outline">
          {date.attendees
            .map(({ name, address, answer }) =>
              answer === 'none' ? name || address : `${name || address} (${answer})`,
            )
            .join(', ')}
        </Line>
      )}
      {event && !isFollowed && event.attendees.length > 0 && (
        <GuestNewsLater event={event} preferences={preferences} />
      )}
      {place !== '' && <Line icon="map-marker-outline">{place}</Line>}
      {o.room !== '' && (
        <View style={styles.line}>
          <Icon name="video-outline" size={18} color={palette.dim} />
          <LinkedText>{o.room}</LinkedText>
          <JoinButton occurrence={o} isAlways />
        </View>
      )}
      {text.link !== '' && <Line icon="link-variant">{text.link}</Line>}
      {text.notes !== '' && (
        <View style={styles.line}>
          <Icon name="text" size={18} color={palette.dim} />
          <View style={styles.text}>
            <Formatted>{text.notes}</Formatted>
          </View>
        </View>
      )}
      {date && date.agenda.length > 0 && (
        <Line icon="format-list-checks">
          {sayPoints(date.agenda, o.wholeDay ? 0 : (o.endMs - o.startMs) / MINUTE)}
        </Line>
      )}
      <View style={styles.sweep}>
        <Button compact icon="text-box-outline" onPress={() => router.navigate(pageAddress(o.id))}>
          Points, notes, follow-ups
        </Button>
      </View>
      {labels.length > 0 && (
        <View style={styles.line}>
          <Icon name="tag-outline" size={18} color={palette.dim} />
          <View style={styles.labels}>
            {labels.map(({ id, name, ink }) => (
              <View key={id} style={styles.label}>
                <CategoryDot ink={ink} size={13} />
                <Text>{name}</Text>
              </View>
            ))}
          </View>
        </View>
      )}
      {event && !isFollowed && <FilesPart event={event} />}
      {isSeries && !isFollowed && (
        <View style={styles.sweep}>
          <Button compact icon="broom" onPress={onSweep}>
            Sweep its dates off closures
          </Button>
        </View>
      )}
      {isFollowed && (
        <Line icon="eye-outline">{`${calendar.name} is a followed calendar: it can be looked at, not changed.`}</Line>
      )}
    </PanelFrame>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', gap: 10, alignItems: 'flex-start' },
  text: { flex: 1, minWidth: 0, overflowWrap: 'anywhere' as never } as object,
  labels: { flex: 1, flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  label: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  sweep: { alignItems: 'flex-start' },
  mark: { width: 18, alignItems: 'center', paddingTop: 3 },
});
