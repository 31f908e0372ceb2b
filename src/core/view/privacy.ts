import type { Occurrence } from '../agenda/occurrence';

/** The occurrence as others may see it: a private one without its title and place (CLASS, RFC 5545 §3.8.1.3). */
export function withoutPrivate(occurrence: Occurrence): Occurrence {
  return occurrence.visibility === 'private'
    ? { ...occurrence, title: 'Private', place: '', room: '' }
    : occurrence;
}
