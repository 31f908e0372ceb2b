import { Button } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import { isJoinable } from '@/core/calendars/rooms';
import { isWebAddress } from '@/core/model/webAddress';
import { titleOf } from '@/core/model/titleOf';
import { DATED_DAY, saySpan } from '@/core/time/words';
import { useNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useEvent } from '@/data/queries';
import { useRooms } from '@/data/rooms';

interface Props {
  occurrence: Occurrence;
  /** Whether it stands there before its time, too. */
  isAlways?: boolean;
}

/** The way into an event's room, where it is due. */
export function JoinButton({ occurrence: o, isAlways = false }: Props) {
  const now = useNow();
  const { wording } = usePreferences();
  const rooms = useRooms();
  const { data: event } = useEvent(o.room ? o.eventId : null);
  const isDue = isJoinable(o, now);
  if (!isWebAddress(o.room) || (!isDue && !isAlways)) return null;
  const isPrivate = o.visibility === 'private';
  const join = () =>
    rooms.join(o.room, {
      title: isPrivate ? 'A private meeting' : titleOf(o),
      when: saySpan(o, wording, DATED_DAY),
      people: isPrivate ? [] : ['You', ...(event?.attendees ?? []).map(({ name }) => name)],
    });
  return (
    <Button
      compact
      mode={isDue ? 'contained' : 'outlined'}
      icon="video-outline"
      accessibilityLabel={`Join ${titleOf(o)}`}
      onPress={join}
      style={{ alignSelf: 'flex-start' }}
    >
      Join
    </Button>
  );
}
