import type { RawComponent } from './scan';

/** Components that are entries, wherever in a file they stand. */
const ENTRIES = new Set(['VEVENT', 'VTODO']);
/** Components that hold entries by the standard (RFC 5545 §3.4), or may by mistake. */
const holdsEntry = ({ name, children }: RawComponent): boolean =>
  children.some((child) => ENTRIES.has(child.name) || holdsEntry(child)) || name === 'VCALENDAR';

/** Components of a file in the order in which they stand, with entries taken out of whatever holds them. */
export interface Entries {
  components: RawComponent[];
  /** Calendars, for what their own lines say. */
  calendars: RawComponent[];
  /** Entries that stand where the standard allows none, and those whose END is missing. */
  misplaced: { line: number; what: string }[];
}

/**
 * Finds the entries of a file, also those inside of a calendar in a calendar, of another entry, or of
 * something unknown: each is read as if it stood in its calendar.
 */
export function findEntries(roots: readonly RawComponent[]): Entries {
  const found: Entries = { components: [], calendars: [], misplaced: [] };
  const take = (component: RawComponent, holder: RawComponent | null): void => {
    const { name, line, children } = component;
    const isEntry = ENTRIES.has(name);
    if (isEntry && holder && holder.name !== 'VCALENDAR')
      found.misplaced.push({
        line,
        what: `This ${name} stands inside of ${holder.name} from line ${holder.line}; it is read by itself`,
      });
    if (component.isUnended)
      found.misplaced.push({
        line,
        what: `This ${name} has no END; it is read up to where something else begins or ends`,
      });
    if (name === 'VCALENDAR') {
      found.calendars.push(component);
      for (const child of children) take(child, component);
      return;
    }
    const inside = children.filter((child) => ENTRIES.has(child.name) || holdsEntry(child));
    if (isEntry || !inside.length)
      found.components.push(
        inside.length
          ? { ...component, children: children.filter((child) => !inside.includes(child)) }
          : component,
      );
    for (const child of inside) take(child, component);
  };
  for (const root of roots) take(root, null);
  return found;
}
