import { useState } from 'react';
import { Button } from 'react-native-paper';
import { inkName } from '@/core/calendars/inks';
import type { EventForm } from '@/core/editing/form';
import { EVENT_ICONS, isEventIcon } from '@/ui/icons/eventIcons';
import { IconChoice } from '@/ui/IconChoice';
import { InkChoice } from '@/ui/InkChoice';
import { Understood } from './Understood';
import type { Editor } from './useEditor';

function sayLooks({ inkOverride, icon }: EventForm): string {
  const ink = inkOverride ? inkName(inkOverride) : 'Ink of its calendar';
  return isEventIcon(icon) ? `${ink}, ${EVENT_ICONS[icon]}` : `${ink}, no icon`;
}

/** The ink and the icon that an event has for itself. */
export function LooksPart({ form, setValue }: Pick<Editor, 'form' | 'setValue'>) {
  const [areLooksOpen, setLooksOpen] = useState(false);
  return (
    <>
      <Understood
        icon="palette-outline"
        name="Ink and icon"
        value={sayLooks(form)}
        isOpen={areLooksOpen}
        onPress={() => setLooksOpen((last) => !last)}
      />
      {areLooksOpen && (
        <>
          <InkChoice
            name="Its own ink"
            ink={form.inkOverride ?? null}
            onChoose={(ink) => setValue('inkOverride', ink)}
          />
          {form.inkOverride && (
            <Button onPress={() => setValue('inkOverride', undefined)}>As its calendar</Button>
          )}
          <IconChoice icon={form.icon} onChoose={(icon) => setValue('icon', icon)} />
        </>
      )}
    </>
  );
}
