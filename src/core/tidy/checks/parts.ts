/** The event's id and the name of its date that an occurrence's id is made of. */
export function partsOf(id: string): { eventId: string; dateKey: string | null } {
  const at = id.indexOf('@');
  return at < 0
    ? { eventId: id, dateKey: null }
    : { eventId: id.slice(0, at), dateKey: id.slice(at + 1) };
}
