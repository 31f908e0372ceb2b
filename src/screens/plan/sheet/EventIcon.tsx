import { isEventIcon } from '@/ui/icons/eventIcons';
import { ICON_PATHS } from '@/ui/icons/paths';

/** An event's small icon before its title; plain elements, as bars are. */
export function EventIcon({ icon }: { icon: string | undefined }) {
  if (!isEventIcon(icon)) return null;
  return (
    <svg className="sheet-icon" viewBox="0 0 24 24" aria-hidden>
      <path d={ICON_PATHS[icon]} fill="currentColor" />
    </svg>
  );
}
