import type { Response } from 'express';
import type { SharedCopy, SharedDay, SharedLine } from '../src/core/people/shared';
import type { SharedChange, SharedFields } from '../src/core/people/sharedChange';
import { areWholeDays } from '../src/core/people/sharedChange';
import { DAY, parseLocal, formatDate, dayOfWall } from '../src/core/time/civil';
import type { RefusedChange } from './store/shareStore';
import { escaped, plainPage } from './plainPage';

const STYLE = `
main { margin-top: 2vh; }
h2 { font-size: 1.05em; margin: 1.4em 0 .2em; border-bottom: 1px solid #d8d0c0; }
ul { list-style: none; margin: 0; padding: 0; }
li { display: flex; gap: 14px; padding: 4px 0; align-items: baseline; }
time { flex: 0 0 7.5em; color: #55635f; font-variant-numeric: tabular-nums; }
li > span { flex: 1; min-width: 0; overflow-wrap: anywhere; }
a { color: #1f5a4c; }
label { display: block; margin: .8em 0; }
input { display: block; box-sizing: border-box; width: 100%; font: inherit; padding: 8px; border: 1px solid #8a8577; border-radius: 6px; background: #fff; color: inherit; }
button { font: inherit; padding: 8px 16px; border-radius: 6px; border: 1px solid #1f5a4c; background: #1f5a4c; color: #fff; margin: 4px 8px 4px 0; }
button.other { background: transparent; color: #1f5a4c; }
[role=alert] { color: #8f2d1c; font-weight: 600; }
[role=status] { border-left: 3px solid #1f5a4c; padding-left: 10px; }
`;

/** Where to change a line: the address of the form for it. */
const formAddress = (address: string, { change }: SharedLine) =>
  change
    ? `${address}/change?${new URLSearchParams({ event: change.of.eventId, key: change.of.key ?? '' }).toString()}`
    : '';

function lineOf(address: string, line: SharedLine): string {
  const { when, title, place } = line;
  const where = place ? `<br><small>${escaped(place)}</small>` : '';
  const change = line.change
    ? `<a href="${escaped(formAddress(address, line))}" aria-label="${escaped(`Change ${title}`)}">Change</a>`
    : '';
  return `<li><time>${escaped(when)}</time><span>${escaped(title)}${where}</span>${change}</li>`;
}

const dayOf = (address: string, { name, lines }: SharedDay) =>
  `<h2>${escaped(name)}</h2>\n<ul>${lines.map((line) => lineOf(address, line)).join('')}</ul>`;

/** What a change that waits says. */
const sayWaiting = (change: SharedChange): string => {
  if (change.kind === 'answer') return `${change.by}: an answer`;
  const what = change.kind === 'remove' ? change.base.title : change.to.title;
  return `${change.by}: ${what}${change.kind === 'remove' ? ' removed' : ''}`;
};

const waitingPart = (waiting: readonly SharedChange[]) =>
  waiting.length
    ? `<div role="status"><p>On its way: it is in the calendar as soon as its owner’s app asks.</p><ul>${waiting.map((change) => `<li><span>${escaped(sayWaiting(change))}</span></li>`).join('')}</ul></div>`
    : '';

const refusedPart = (refused: readonly RefusedChange[]) =>
  refused.length
    ? `<div role="alert"><p>Not done:</p><ul>${refused.map(({ change, why }) => `<li><span>${escaped(sayWaiting(change))}: ${escaped(why)}</span></li>`).join('')}</ul></div>`
    : '';

/** The fields that say who writes: whoever it is shared with is known. */
const byField = (copy: SharedCopy, by: string) =>
  copy.changing?.who
    ? `<input type="hidden" name="by" value="${escaped(copy.changing.who.name)}">`
    : `<label>Your name<input name="by" required maxlength="100" value="${escaped(by)}"></label>`;

const invitationsPart = (copy: SharedCopy, address: string) =>
  (copy.changing?.invitations ?? [])
    .map(
      ({ uid, key, title, when, who }) => `<form method="post" action="${address}/change">
<h2>${escaped(title)}</h2>
<p>${escaped(when)}${who ? `, asked by ${escaped(who)}` : ''}. It waits for an answer.</p>
<input type="hidden" name="uid" value="${escaped(uid)}"><input type="hidden" name="key" value="${escaped(key ?? '')}">
${byField(copy, '')}
<button name="do" value="accepted">Accept</button><button class="other" name="do" value="tentative">Maybe</button><button class="other" name="do" value="declined">Decline</button>
</form>`,
    )
    .join('\n');

/** The page of a share: its days, how it is followed, and what of it can be changed. */
export function sharePage(
  copy: SharedCopy,
  address: string,
  { waiting, refused }: { waiting: readonly SharedChange[]; refused: readonly RefusedChange[] },
): string {
  const follow = copy.calendar === null ? 'busy.ics' : 'calendar.ics';
  const isChanged = copy.changing !== null;
  const days = copy.days.map((day) => dayOf(address, day)).join('\n');
  const main = `<h1>${escaped(copy.name)}</h1>
<p><small>Times by the clock of ${escaped(copy.zone)}. ${isChanged ? 'You may change it.' : 'Read only.'}</small></p>
${isChanged ? `<p><a href="${address}/change">Add an event</a></p>` : ''}
<p><a href="${address}/${follow}">Follow this calendar</a>: give this address to your calendar.</p>
${waitingPart(waiting)}
${refusedPart(refused)}
${invitationsPart(copy, address)}
${days || '<p>Nothing is planned in the weeks to come.</p>'}`;
  return plainPage({ title: copy.name, main, style: STYLE });
}

/** What the form of a change begins with. */
export interface Form {
  /** The event, and which date of it; null for one that is added. */
  of: { eventId: string; key: string | null } | null;
  /** What it was when the form was opened; the same fields as they stand in it. */
  base: SharedFields;
  fields: SharedFields;
  by: string;
  /** What is wrong with it. */
  fault?: string;
}

/** The fields of when it is: days for what lasts whole days, else times. */
function timeFields({ start, end }: SharedFields, wholeDay: boolean): string {
  const field = (label: string, name: string, type: string, value: string) =>
    `<label>${label}<input type="${type}" name="${name}" required value="${escaped(value)}"></label>`;
  if (!wholeDay)
    return `${field('Starts', 'start', 'datetime-local', start.slice(0, 16))}
${field('Ends', 'end', 'datetime-local', end.slice(0, 16))}`;
  return `${field('First day', 'start', 'date', start.slice(0, 10))}
${field('Last day', 'end', 'date', formatDate(dayOfWall(parseLocal(end) - DAY)))}`;
}

/** The form in which an event is changed, or added. */
export function changePage(copy: SharedCopy, address: string, form: Form, query = ''): string {
  const { of, base, fields, by, fault } = form;
  const wholeDay = of !== null && areWholeDays(parseLocal(base.start), parseLocal(base.end));
  const name = of ? `Change “${base.title}”` : `Add to ${copy.name}`;
  const main = `<h1>${escaped(name)}</h1>
<p><small>${escaped(copy.name)}, by the clock of ${escaped(copy.zone)}. <a href="${address}">Back</a></small></p>
${fault ? `<p role="alert">${escaped(fault)}</p>` : ''}
<form method="post" action="${escaped(`${address}/change${query}`)}">
${of ? `<input type="hidden" name="event" value="${escaped(of.eventId)}"><input type="hidden" name="key" value="${escaped(of.key ?? '')}"><input type="hidden" name="base" value="${escaped(JSON.stringify(base))}">` : ''}
${byField(copy, by)}
<label>Title<input name="title" required maxlength="300" value="${escaped(fields.title)}"></label>
<label>Place<input name="place" maxlength="300" value="${escaped(fields.place)}"></label>
${timeFields(fields, wholeDay)}
<button name="do" value="${of ? 'change' : 'add'}">Send</button>${of ? '<button class="other" name="do" value="remove" formnovalidate>Remove it</button>' : ''}
</form>`;
  return plainPage({ title: name, main, style: STYLE });
}

/** What is said once a change of somebody's own time is kept. */
export const changedPage = (name: string, title: string): string =>
  plainPage({
    title: name,
    main: `<h1>${escaped(name)}</h1>\n<p>“${escaped(title)}” is changed. You can close this page.</p>`,
    style: STYLE,
  });

/** An answer in HTML whose forms lead back to this server. */
export function withForms(response: Response): Response {
  const policy = String(response.get('Content-Security-Policy') ?? '');
  const own = policy.replace("form-action 'none'", "form-action 'self'");
  if (own) response.set('Content-Security-Policy', own);
  // By no-referrer a browser would not say where a form of this very page comes from.
  response.set('Referrer-Policy', 'same-origin');
  return response.type('html');
}
