import type { Occurrence } from '../agenda/occurrence';
import { sayLeaveBy, sayStanding } from '../agenda/standing';
import { titleOf } from '../model/titleOf';
import type { RemindingSettings } from '../model/others';
import type { EpochMs } from '../time/units';
import { saySpan } from '../time/words';
import type { Message } from './reminding';
import type { DueReminder } from './schedule';
import { LATE } from './telling';
import type { ReminderWording } from './words';

/** Where a reminder goes that is not for the screen; empty where nobody said. */
const addressOf = ({ how }: DueReminder['reminder'], { mail, phone }: RemindingSettings): string =>
  how === 'mail' ? mail : how === 'text' ? phone : '';

interface Situation {
  now: EpochMs;
  reminding: RemindingSettings;
  wording: ReminderWording;
  link: string;
}

/**
 * What is to be sent for a reminder; null where it is for the screen: that way was asked for, there is
 * no address, or the event was over before the app came to it.
 */
export function messageOf(
  { id, at, reminder }: DueReminder,
  occurrence: Occurrence,
  { now, reminding, wording, link }: Situation,
): Message | null {
  const to = addressOf(reminder, reminding);
  const isOver = now - at > LATE && occurrence.endMs <= now && at < occurrence.endMs;
  if (!reminder.how || !to || isOver) return null;
  const title = titleOf(occurrence);
  const standing = sayStanding(occurrence, now);
  const when = saySpan(occurrence, wording);
  const facts = [occurrence.place, sayLeaveBy(occurrence, wording), link].filter(Boolean);
  if (reminder.how === 'text')
    return {
      id,
      how: 'text',
      to,
      at,
      subject: '',
      text: [`${title}, ${standing}: ${when}`, ...facts].join('. '),
    };
  const subject = `${title}, ${standing}`;
  return { id, how: 'mail', to, at, subject, text: [title, when, ...facts, ''].join('\n') };
}
