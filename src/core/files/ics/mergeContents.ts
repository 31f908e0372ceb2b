import { quotedTitle } from '../../model/titleOf';
import type { Problem } from './jcal';
import type { EventDraft } from './readEvent';
import type { FileContents } from './readFile';

/** The later revision of two entries with one UID. */
const newer = (a: EventDraft, b: EventDraft) => (b.revision >= a.revision ? b : a);

/** Several files as one: what stays out is said with its file, and of two with one UID the later revision counts. */
export function mergeContents(
  files: readonly { name: string; contents: FileContents }[],
): FileContents {
  const [only] = files;
  if (files.length === 1 && only) return only.contents;
  const events = new Map<string, { name: string; draft: EventDraft; entries: number }>();
  const older: Problem[] = [];
  let olderEntries = 0;
  const entriesOf = new Map<string, number>();
  for (const { name, contents } of files) {
    for (const [uid, entries] of contents.entriesOf)
      entriesOf.set(uid, (entriesOf.get(uid) ?? 0) + entries);
    for (const draft of contents.events) {
      const other = events.get(draft.uid);
      const own = { name, draft, entries: contents.entriesOf.get(draft.uid) ?? 1 };
      const kept = other && newer(other.draft, draft) === other.draft ? other : own;
      const left = kept === own ? other : own;
      events.set(draft.uid, kept);
      if (!left) continue;
      olderEntries += left.entries;
      entriesOf.set(draft.uid, (entriesOf.get(draft.uid) ?? 0) - left.entries);
      const what = `${left.name}: ${quotedTitle(left.draft)} stays out: ${kept.name} has it too, and as new or newer`;
      older.push({ line: 1, what });
    }
  }
  const all = files.map(({ contents }) => contents);
  const sum = (count: (contents: FileContents) => number) =>
    all.reduce((total, contents) => total + count(contents), 0);
  return {
    name: '',
    events: [...events.values()].map(({ draft }) => draft),
    looseDates: all.flatMap(({ looseDates }) => looseDates),
    tasks: all.flatMap(({ tasks }) => tasks),
    answers: all.flatMap(({ answers }) => answers),
    proposals: all.flatMap(({ proposals }) => proposals),
    method: '',
    stamps: new Map(),
    calendarNames: new Map(all.flatMap(({ calendarNames }) => [...calendarNames])),
    calendars: new Map(all.flatMap(({ calendars }) => [...calendars])),
    ownUids: new Set(all.flatMap(({ ownUids }) => [...ownUids])),
    otherComponents: all.flatMap(({ otherComponents }) => otherComponents),
    properties: all.flatMap(({ properties }) => properties),
    counts: {
      events: sum(({ counts }) => counts.events),
      tasks: sum(({ counts }) => counts.tasks),
      overrides: sum(({ counts }) => counts.overrides),
    },
    leftOut: sum(({ leftOut }) => leftOut) + olderEntries,
    entriesOf,
    skipped: [
      ...files.flatMap(({ name, contents }) =>
        contents.skipped.map(({ line, what }) => ({ line, what: `${name}: ${what}` })),
      ),
      ...older,
    ],
    notes: files.flatMap(({ name, contents }) => contents.notes.map((note) => `${name}: ${note}`)),
  };
}
