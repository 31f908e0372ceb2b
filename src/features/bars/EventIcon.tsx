import { isEventIcon } from '@/ui/icons/eventIcons';
import { PlainIcon } from '@/ui/icons/PlainIcon';

/** An event's small icon before its title. */
export function EventIcon({ icon }: { icon: string | undefined }) {
  return isEventIcon(icon) ? <PlainIcon name={icon} size={14} className="sheet-icon" /> : null;
}
