import { readCalendarFile } from '../../src/core/files/ics/readFile';

/** The single events of a calendar text, by what tests look at. */
export function readFeedEvents(text: string) {
  const reader = readCalendarFile(text, 0);
  let step = reader.next();
  while (!step.done) step = reader.next();
  return step.value.events.map(({ uid, title, link, start }) => ({
    uid,
    title,
    link,
    start: start.kind === 'date' ? start.date : start.local,
  }));
}
