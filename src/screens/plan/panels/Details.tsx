import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import { MINUTE, minuteOfDay } from '@/core/time/civil';
import { sayLength, sayMinute, saySpan } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { titleOf, useActions } from '@/data/actions';
import type { Preferences } from '@/data/preferences';
import { useEvent } from '@/data/queries';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { PanelFrame } from './PanelFrame';

interface Props {
  occurrence: Occurrence;
  calendar: Calendar;
  preferences: Preferences;
  onEdit(): void;
  onCopy(): void;
  onClose(): void;
}

const LONG = { weekday: 'long', day: 'numeric', month: 'long' } as const;

/** The time by the clock of the event's own zone, when that is another than the one shown. */
function elsewhere(o: Occurrence, { zone, wording }: Preferences): string | null {
  if (o.wholeDay || o.zone === null || o.zone === zone) return null;
  const at = (epochMs: number) =>
    sayMinute(minuteOfDay(wallFromInstant(epochMs, o.zone!)), wording.hourCycle);
  return `${at(o.startMs)} – ${at(o.endMs)} in ${o.zone.split('/').at(-1)!.replaceAll('_', ' ')}`;
}

function Line({ icon, children }: { icon: string; children: string }) {
  const { dim } = usePalette();
  return (
    <View style={styles.line}>
      <Icon name={icon} size={18} color={dim} />
      <Text style={styles.text} selectable>
        {children}
      </Text>
    </View>
  );
}

const isWebLink = (link: string) => /^https?:\/\//i.test(link);

/** An event as it stands, with what can be done to it. */
export function Details({ occurrence: o, calendar, preferences, onEdit, onCopy, onClose }: Props) {
  const { data: event } = useEvent(o.eventId);
  const { remove } = useActions();
  const palette = usePalette();
  const isSeries = o.dateKey !== null;
  const isFollowed = calendar.kind === 'followed';
  const away = elsewhere(o, preferences);
  const change = o.dateKey === null ? undefined : event?.changedDates[o.dateKey];
  const text = {
    notes: change?.notes ?? event?.notes ?? '',
    link: change?.link ?? event?.link ?? '',
  };
  const length = o.wholeDay ? '' : ` (${sayLength((o.endMs - o.startMs) / MINUTE)})`;

  return (
    <PanelFrame
      title={titleOf(o)}
      onClose={onClose}
      footer={
        event &&
        !isFollowed && (
          <>
            <Button
              icon="trash-can-outline"
              textColor={palette.brick}
              onPress={() => void remove(event).then((done) => done && onClose())}
            >
              {isSeries ? 'Remove all dates' : 'Remove'}
            </Button>
            <Button icon="content-copy" onPress={onCopy}>
              Copy to…
            </Button>
            {!isSeries && (
              <Button mode="contained" icon="pencil-outline" onPress={onEdit}>
                Edit
              </Button>
            )}
          </>
        )
      }
    >
      <Line icon="clock-outline">{saySpan(o, preferences.wording, LONG) + length}</Line>
      {away && <Line icon="earth">{away}</Line>}
      <View style={styles.line}>
        <View style={styles.mark}>
          <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={14} />
        </View>
        <Text style={styles.text}>
          {calendar.name} · {o.availability}
          {o.visibility === 'private' ? ' · private' : ''}
        </Text>
      </View>
      {o.place !== '' && <Line icon="map-marker-outline">{o.place}</Line>}
      {text.link !== '' &&
        (isWebLink(text.link) ? (
          <View style={styles.line}>
            <Icon name="link-variant" size={18} color={palette.dim} />
            <Text
              {...{ href: text.link, hrefAttrs: { target: '_blank', rel: 'noopener noreferrer' } }}
              role="link"
              style={[styles.text, { color: palette.green, textDecorationLine: 'underline' }]}
            >
              {text.link}
            </Text>
          </View>
        ) : (
          <Line icon="link-variant">{text.link}</Line>
        ))}
      {text.notes !== '' && <Line icon="text">{text.notes}</Line>}
      {isSeries && (
        <Line icon="repeat">
          {isFollowed
            ? 'This event repeats.'
            : 'This event repeats. Its dates can’t be edited here yet; they can be copied, or removed all together.'}
        </Line>
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
  mark: { width: 18, alignItems: 'center', paddingTop: 3 },
});
