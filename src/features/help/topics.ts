import type { SheetAction } from '@/data/asked';

/** What a picture of a topic shows, made of the app's own parts. */
export type PictureKind =
  | 'add'
  | 'line'
  | 'marks'
  | 'taking'
  | 'ruler'
  | 'lens'
  | 'scope'
  | 'answers'
  | 'keys'
  | 'paper'
  | 'copies';

/** Where a topic leads: a screen, or the sheet, on which something is done. */
export type Place = { path: string } | { action: SheetAction } | { add: true };

export interface Topic {
  id: string;
  title: string;
  /** Other words that people look for it by. */
  words: string;
  /** Paragraphs. */
  text: readonly string[];
  picture?: PictureKind;
  showMe: Place;
}

/** Tasks in the order of the job: from the first event to the work with others, paper and copies. */
export const TASKS: readonly Topic[] = [
  {
    id: 'add',
    title: 'Add an event',
    words: 'new make type draw meeting',
    text: [
      'Press Add and type what, when and where in one line: “Crate call Thu 14:00 for 45 min at Quay 3”. What was understood is underlined, and each part can be put right below the line before it is kept.',
      'Days: “tomorrow”, “Fri 4 Dec”, “24–26 Dec”, “end of next week”, “second Thursday in December”, “week of 7 Dec”. Times: “9–10:30”, “noon to 2”, “half past two”, “in 45 min”, “15:00 Osaka time”. Repeats: “every other Thursday until March”, “weekdays 9:15”, “last working day of each month”, “first Monday of the quarter”, “every Tuesday from January except 8 Dec”, “2nd and 4th Friday”.',
      'Besides: “private”, “shown as free”, “30 min travel”, “remind me 1 day and 1 hour before”, “notes: bring the jar”. A line that begins with “task:” becomes a task. Words that say when and are not understood are named under the line. Where you say how long and not when, the first free time is offered.',
      'Or draw on the sheet: press where it begins and drag to where it ends. With a finger, rest first. A press on a free spot begins one of the usual length.',
    ],
    picture: 'line',
    showMe: { add: true },
  },
  {
    id: 'move',
    title: 'Move and stretch it',
    words: 'drag change time length copy',
    text: [
      'Drag a bar to another time or day; drag its end to stretch it. With the keyboard: go to the event with the arrows, then Alt with arrows moves it, and Alt and Shift with arrows stretch it. Escape takes it back while you hold it, Undo afterwards.',
    ],
    picture: 'taking',
    showMe: { action: { kind: 'today' } },
  },
  {
    id: 'repeat',
    title: 'Let it repeat, and change one date',
    words: 'series weekly recurring every scope',
    text: [
      'Type “every Friday” in the line, or open Repeats in the editor. When a date of a series is changed or removed, you are asked what it means: this date alone, this and all later ones, or every date. Dates that you changed by hand before keep what they have, unless you say otherwise.',
    ],
    picture: 'scope',
    showMe: { add: true },
  },
  {
    id: 'see',
    title: 'See the time as you need it',
    words: 'view form span week month year table agenda',
    text: [
      'A press on “Week · rows” chooses how long a stretch you see and in which form: rows, columns, grid, year, agenda or table. What you use often can be kept as a lens. The ruler under the sheet shows how booked the weeks around are: a press goes there.',
    ],
    picture: 'ruler',
    showMe: { action: { kind: 'view' } },
  },
  {
    id: 'calendars',
    title: 'Keep several calendars',
    words: 'ink mark colour hide show follow feed',
    text: [
      'Each calendar has an ink (its colour) and a mark (its shape), so that they can be told apart without colour too. A press on its name hides or shows it; a long press or the right button has more, such as showing it alone or sharing it. Calendars of others are followed by their address.',
    ],
    picture: 'marks',
    showMe: { path: '/calendars' },
  },
  {
    id: 'remind',
    title: 'Be reminded',
    words: 'reminder alarm notification sound',
    text: [
      'A calendar says how its events remind, and an event can have its own: on the screen, by mail or by text message. What comes due stands at the top of every screen until you open it, put it off or are done with it.',
    ],
    showMe: { path: '/settings' },
  },
  {
    id: 'zones',
    title: 'Other zones, and travel',
    words: 'time zone travel world clock',
    text: [
      'Under Zones you see other clocks beside the hours of the sheet, look at the sheet as somebody elsewhere does, and say when you travel: on those days the sheet goes by the clock there. An event can have a zone of its own, and says both times.',
    ],
    showMe: { action: { kind: 'today' } },
  },
  {
    id: 'find',
    title: 'Find events and change many at once',
    words: 'search select bulk many',
    text: [
      'Find looks in titles, places, notes, people and files as you type. Words and days go together: “bench round next week”, “freight since October”; in quotes they are words alone. “More exact” asks for calendars, weekdays, a time of day, a length and more. What you found can be selected as a whole; “Change…” shows what each would become before anything is done. On the sheet you select with Ctrl and a press, or with Shift and a frame.',
    ],
    showMe: { path: '/find' },
  },
  {
    id: 'tidy',
    title: 'Clean up',
    words: 'doubles clashes check sweep archive rules',
    text: [
      'Tidy looks for what is wrong or in the way: doubles, clashes, events on closed days, times that stand in titles, odd hours, files that lie twice. Each can be mended or left, one by one or all together, and taken back.',
    ],
    showMe: { path: '/tidy' },
  },
  {
    id: 'tasks',
    title: 'Things to do, and time for them',
    words: 'task todo due find time block',
    text: [
      'Tasks have a day by which they are due and a length. Drag one onto the sheet to give it time, or let Find time look for some within your working hours. After that time you are asked how it stands.',
    ],
    showMe: { path: '/tasks' },
  },
  {
    id: 'meet',
    title: 'Find a time with others, and invite them',
    words: 'people openings invite guests offer answer',
    text: [
      'Under People you see who is free now. “Find openings” lists the times that suit all, and what speaks against each. Guests are sent nothing until you say so: after a change you are asked whom to tell. Answers, and other times that guests propose, stand in the event.',
      'What others ask you to waits under Invitations: you see that day before you answer.',
    ],
    picture: 'answers',
    showMe: { path: '/people' },
  },
  {
    id: 'share',
    title: 'Share a calendar',
    words: 'share publish link level may change acts for me',
    text: [
      'In a calendar’s menu, “Share…” makes an address that nobody can guess. You choose how much is seen: booked only, titles, all but private, all; or that somebody may change it, or acts for you. You see it first as they will. What they change comes in with their name, and can be taken back.',
    ],
    showMe: { path: '/calendars' },
  },
  {
    id: 'print',
    title: 'Print it',
    words: 'paper page pdf hang up',
    text: [
      'Ctrl and P, on any screen, shows the pages as they will be: choose the paper, the days, the form, and what is said of each event. Nothing is cut: what has no room goes on on the next page.',
    ],
    picture: 'paper',
    showMe: { path: '/print' },
  },
  {
    id: 'files',
    title: 'Bring in files, and take your data out',
    words: 'import export ics csv',
    text: [
      'Drop a calendar file or a table anywhere on Import: you see what would come in before it does, doubles are told, and one Undo takes all of it back. Export writes calendar files (.ics) and tables (.csv) that other programs read.',
    ],
    showMe: { path: '/import' },
  },
  {
    id: 'kept',
    title: 'What is kept where, and how to be safe',
    words: 'backup storage privacy copy restore lost',
    text: [
      'Everything is kept in this browser, on this machine, and goes nowhere unless you send it. In Settings, “Copies kept by themselves” writes a copy into a folder of yours after you changed something, keeps those of the last days, and reads each one back. Backup, under Calendars, makes one file of everything by a press, and Restore brings it back.',
    ],
    picture: 'copies',
    showMe: { path: '/settings' },
  },
  {
    id: 'undo',
    title: 'Take something back',
    words: 'undo mistake changes removed',
    text: [
      'Undo takes back the last step, however large; Changes lists what was done, in which window, and goes back to any point of it. What was removed waits in Removed until you clear it for good.',
    ],
    showMe: { path: '/removed' },
  },
  {
    id: 'keys',
    title: 'Do it with the keyboard',
    words: 'shortcuts keys command box',
    text: [
      'The key / opens a box in which you type what you want: a thing to do, a screen, a lens, an event. It tells the key that does it without the box. The key ? lists all keys.',
    ],
    picture: 'keys',
    showMe: { action: { kind: 'help' } },
  },
];

/** The words of the app, explained. */
export const WORDS: readonly (readonly [word: string, says: string])[] = [
  ['Sheet', 'the days that you look at, in whichever form'],
  [
    'Lens',
    'a way to see the sheet that was kept: how long a stretch, in which form, which calendars, what filter',
  ],
  ['Ink', 'the colour of a calendar, a category or a single event'],
  ['Mark', 'the shape of a calendar, which tells it apart without colour'],
  ['Jot', 'to type an event in one line: what, when, where'],
  ['Scope', 'what a change to a date of a series means: this date, later ones too, or every one'],
  ['Ruler', 'the weeks around what you see, under the sheet, as high as they are booked'],
  ['Tidy', 'the place where what is wrong or in the way is found and mended'],
  ['Opening', 'a time that suits those who are to meet'],
  ['Quiet mode', 'an event’s page without anything else, for while it runs'],
];

/** What is new, the latest first. */
export const NEWS: readonly (readonly [day: string, says: string])[] = [
  [
    '2026-12-01',
    'Typed lines, messages and searches are read more exactly: lists of days, what a repeat leaves out, tasks, and words and days together.',
  ],
  [
    '2026-11-28',
    'Printing, this help, the box of commands, copies that are kept by themselves, and calendars that others may change.',
  ],
  ['2026-11-27', 'Invitations: asking, answering, other times, single dates.'],
  ['2026-11-26', 'People, openings and sharing; tasks and messages.'],
  ['2026-11-25', 'Finding, changing many, Tidy with its checks, reminders.'],
];
