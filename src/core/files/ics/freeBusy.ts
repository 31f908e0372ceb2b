import type { JcalComponent, JcalProperty } from '../../model/common';
import type { BusyStretch, Taken } from '../../people/busy';
import { mergedBusy } from '../../people/busy';
import { parseLocal } from '../../time/civil';
import { parseDuration } from '../../time/durations';
import type { EpochMs } from '../../time/units';
import { componentLines, parseComponent } from './jcal';
import { OWN_PRODUCT } from './readFile';
import { scanComponents } from './scan';
import { stamp } from './writeEvent';

/** How kinds of taken time are called in files (FBTYPE, RFC 5545 §3.2.9). */
const TYPES: Readonly<Record<Taken, string>> = {
  busy: 'BUSY',
  tentative: 'BUSY-TENTATIVE',
  away: 'BUSY-UNAVAILABLE',
};

const TAKEN_BY_TYPE: Readonly<Record<string, Taken | null>> = {
  FREE: null,
  BUSY: 'busy',
  'BUSY-TENTATIVE': 'tentative',
  'BUSY-UNAVAILABLE': 'away',
};

/** An instant of a period, which is in UTC (RFC 5545 §3.8.2.6); null for what is none. */
function instantOfText(text: string): EpochMs | null {
  try {
    return parseLocal(text.replace(/Z$/, '')) as number;
  } catch {
    return null;
  }
}

/** The stretch of a period: its start with its end, or with how long it lasts (RFC 5545 §3.3.9). */
function stretchOf(value: unknown): { start: EpochMs; end: EpochMs } | null {
  const [from = '', to = ''] = (Array.isArray(value) ? value : String(value).split('/')).map(
    String,
  );
  const start = instantOfText(from);
  if (start === null) return null;
  const length = parseDuration(to);
  const end = length ? start + length.days * 86_400_000 + length.ms : instantOfText(to);
  return end !== null && end > start ? { start, end } : null;
}

/** The type that a property gives; one that is not known is taken for busy, as the standard asks. */
function takenOf([, parameters]: JcalProperty): Taken | null {
  const type = parameters['fbtype'];
  const known = TAKEN_BY_TYPE[typeof type === 'string' ? type.toUpperCase() : 'BUSY'];
  return known === undefined ? 'busy' : known;
}

const stretchesOf = (component: JcalComponent): BusyStretch[] =>
  component[1].flatMap((prop) => {
    const taken = prop[0] === 'freebusy' ? takenOf(prop) : null;
    if (taken === null) return [];
    return prop.slice(3).flatMap((value) => {
      const stretch = stretchOf(value);
      return stretch ? [{ ...stretch, taken }] : [];
    });
  });

/**
 * The time that is taken by what VFREEBUSY components of a file say (RFC 5545 §3.6.4), in order; null
 * where it has none. Periods that can't be read are left out.
 * @throws FileError for a text that is no calendar file.
 */
export function readFreeBusy(text: string): BusyStretch[] | null {
  const inside = scanComponents(text).flatMap((root) =>
    root.name === 'VCALENDAR' ? root.children : [root],
  );
  const found = inside.filter(({ name }) => name === 'VFREEBUSY');
  if (!found.length) return null;
  return mergedBusy(found.flatMap((one) => stretchesOf(parseComponent(one).jcal)));
}

interface FreeBusy {
  /** Names the component for good (UID). */
  uid: string;
  /** Whose time it is: a mail address; empty for nobody's name. */
  organizer: string;
  from: EpochMs;
  to: EpochMs;
  stretches: readonly BusyStretch[];
  /** When it is written, epoch ms. */
  now: EpochMs;
}

/** A file that says when somebody's time is taken between two instants, and nothing else of it. */
export function writeFreeBusy({ uid, organizer, from, to, stretches, now }: FreeBusy): string {
  const utc = (ms: EpochMs) => stamp('x', ms)[3];
  const within = mergedBusy(stretches).filter(({ start, end }) => start < to && end > from);
  const component: JcalComponent = [
    'vfreebusy',
    [
      ['uid', {}, 'text', uid],
      stamp('dtstamp', now),
      ...(organizer
        ? [['organizer', {}, 'cal-address', `mailto:${organizer}`] as JcalProperty]
        : []),
      stamp('dtstart', from),
      stamp('dtend', to),
      ...within.map(({ start, end, taken }): JcalProperty => [
        'freebusy',
        { fbtype: TYPES[taken] },
        'period',
        [utc(Math.max(start, from)), utc(Math.min(end, to))],
      ]),
    ],
    [],
  ];
  return [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    `PRODID:${OWN_PRODUCT}Free-busy 1//EN`,
    'METHOD:PUBLISH',
    ...componentLines(component),
    'END:VCALENDAR',
    '',
  ].join('\r\n');
}
