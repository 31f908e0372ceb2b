import { useState } from 'react';
import { Button } from 'react-native-paper';
import type { Grouping } from '@/core/model/view';
import { GROUPINGS } from '@/core/model/view';
import { Dialog } from '@/ui/Dialog';
import { MenuList } from '@/ui/Menu';
import { capital } from '@/core/time/words';

const NAMES: Record<Grouping, string> = {
  none: 'not grouped',
  day: 'by day',
  calendar: 'by calendar',
  category: 'by category',
  place: 'by place',
};

/** What the lines of the table are grouped by. */
export function GroupChoice({
  groupBy,
  onChoose,
}: {
  groupBy: Grouping;
  onChoose(groupBy: Grouping): void;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button icon="format-list-group" compact onPress={() => setOpen(true)}>
        {capital(NAMES[groupBy])}
      </Button>
      {isOpen && (
        <Dialog title="Group the lines" onClose={() => setOpen(false)}>
          <MenuList
            name="Group the lines"
            items={GROUPINGS.map((grouping) => ({
              label: capital(NAMES[grouping]),
              icon: grouping === groupBy ? 'check' : 'circle-small',
              onPress: () => {
                setOpen(false);
                onChoose(grouping);
              },
            }))}
          />
        </Dialog>
      )}
    </>
  );
}
