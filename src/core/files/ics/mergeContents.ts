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
  const events = new Map<string, EventDraft>();
  for (const { contents } of files) {
    for (const draft of contents.events) {
      const other = events.get(draft.uid);
      events.set(draft.uid, other ? newer(other, draft) : draft);
    }
  }
  const all = files.map(({ contents }) => contents);
  const sum = (count: (contents: FileContents) => number) =>
    all.reduce((total, contents) => total + count(contents), 0);
  return {
    name: '',
    events: [...events.values()],
    looseDates: all.flatMap(({ looseDates }) => looseDates),
    tasks: all.flatMap(({ tasks }) => tasks),
    answers: all.flatMap(({ answers }) => answers),
    proposals: all.flatMap(({ proposals }) => proposals),
    method: '',
    stamps: new Map(),
    calendarNames: new Map(all.flatMap(({ calendarNames }) => [...calendarNames])),
    ownUids: new Set(all.flatMap(({ ownUids }) => [...ownUids])),
    otherComponents: all.flatMap(({ otherComponents }) => otherComponents),
    properties: all.flatMap(({ properties }) => properties),
    counts: {
      events: sum(({ counts }) => counts.events),
      tasks: sum(({ counts }) => counts.tasks),
      overrides: sum(({ counts }) => counts.overrides),
    },
    skipped: files.flatMap(({ name, contents }) =>
      contents.skipped.map(({ line, what }) => ({ line, what: `${name}: ${what}` })),
    ),
    notes: files.flatMap(({ name, contents }) => contents.notes.map((note) => `${name}: ${note}`)),
  };
}
