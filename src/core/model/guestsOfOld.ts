import { attendeeOf, organizerOf } from './attendees';
import type { JcalProperty } from './common';

type Data = Record<string, unknown>;
type Kept = { properties?: JcalProperty[] } | undefined;

/** What passed through of guests before they were fields, as fields; what else passed through stays. */
function withGuests(data: Data, hasOrganizer: boolean): Data {
  const passthrough = data['passthrough'] as Kept;
  const properties = passthrough?.properties ?? [];
  const guests = properties.filter(([name]) => name === 'attendee');
  const organizer = hasOrganizer ? properties.find(([name]) => name === 'organizer') : undefined;
  if (!guests.length && !organizer) return data;
  const present = (data['attendees'] as unknown[] | undefined) ?? [];
  return {
    ...data,
    ...(guests.length && { attendees: [...present, ...guests.map(attendeeOf)] }),
    ...(organizer && { organizer: organizerOf(organizer) }),
    passthrough: {
      ...passthrough,
      properties: properties.filter((one) => one[0] !== 'attendee' && one !== organizer),
    },
  };
}

/** An event of version 4, whose guests passed through from its file and to it. */
export function guestsOfOld(event: Data): Data {
  const dates = Object.entries((event['changedDates'] as Record<string, Data> | undefined) ?? {});
  return {
    ...withGuests(event, true),
    ...(dates.length && {
      changedDates: Object.fromEntries(dates.map(([key, date]) => [key, withGuests(date, false)])),
    }),
  };
}
