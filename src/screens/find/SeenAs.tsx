import { useState } from 'react';
import { Button } from 'react-native-paper';
import type { Filter } from '@/core/model/filter';
import type { Form, View } from '@/core/model/view';
import { dayOfWall, parseDate } from '@/core/time/civil';
import { useAskSheet } from '@/data/asked';
import { noteAsked } from '@/data/lastFilters';
import { useCalendars } from '@/data/queries';
import type { Found } from '@/engine/finding/finding';
import { Dialog } from '@/ui/Dialog';
import { MenuList } from '@/ui/Menu';

const FORMS: { form: Form; span: View['span']; label: string; icon: string }[] = [
  { form: 'table', span: { kind: 'year' }, label: 'As a table of the year', icon: 'table' },
  { form: 'agenda', span: { kind: 'week' }, label: 'As an agenda', icon: 'view-list-outline' },
  { form: 'year', span: { kind: 'year' }, label: 'On the year', icon: 'view-grid-outline' },
  { form: 'rows', span: { kind: 'week' }, label: 'On the week', icon: 'view-agenda-outline' },
];

/** Shows what was found on the sheet, in its forms: with the question as the sheet's filter. */
export function SeenAs({ filter, found }: { filter: Filter; found: Found }) {
  const calendars = useCalendars();
  const askSheet = useAskSheet();
  const [isOpen, setOpen] = useState(false);

  function see({ form, span }: (typeof FORMS)[number]) {
    const first = found.coming[0]?.next ?? found.over[0]?.last;
    const from = filter.dates?.from;
    noteAsked(filter);
    askSheet({
      kind: 'view',
      fields: { form, span, filter, calendarIds: calendars.map(({ id }) => id) },
      day: from ? parseDate(from) : first ? dayOfWall(first.start) : null,
    });
  }

  return (
    <>
      <Button icon="view-list-outline" onPress={() => setOpen(true)}>
        See on the sheet
      </Button>
      {isOpen && (
        <Dialog title="See on the sheet" onClose={() => setOpen(false)}>
          <MenuList
            name="How to see it"
            items={FORMS.map((one) => ({
              label: one.label,
              icon: one.icon,
              onPress: () => {
                setOpen(false);
                see(one);
              },
            }))}
          />
        </Dialog>
      )}
    </>
  );
}
