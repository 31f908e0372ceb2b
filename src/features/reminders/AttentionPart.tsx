import { useState } from 'react';
import { spanOf } from '@/core/editing/form';
import { NO_EXTRAS, sayExtras } from '@/core/jot/extras';
import type { Calendar } from '@/core/model/calendar';
import { importanceOf, withImportance } from '@/core/model/importance';
import type { Preferences } from '@/data/preferences';
import { IMPORTANCE_CHOICES } from '@/features/event/choices';
import { Understood } from '@/features/event/Understood';
import type { Editor } from '@/features/event/useEditor';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { RemindersPart, sayWhose } from './RemindersPart';
import { TravelFields } from './TravelFields';

interface Props {
  editor: Pick<Editor, 'form' | 'setValue'>;
  calendar: Calendar | undefined;
  preferences: Preferences;
}

/** How an event is met: when it reminds, how long the way is, how much it matters, and whether it may be disturbed. */
export function AttentionPart({ editor, calendar, preferences }: Props) {
  const { form, setValue } = editor;
  const { reminders, availability, wholeDay, travelBefore, travelAfter } = form;
  const [open, setOpen] = useState<'reminders' | 'travel' | null>(null);
  const toggle = (part: 'reminders' | 'travel') => () =>
    setOpen((last) => (last === part ? null : part));
  const { start } = spanOf(form);
  return (
    <>
      <Understood
        icon="bell-outline"
        name="Reminders"
        value={sayWhose({ reminders, availability, wholeDay, start }, calendar, preferences)}
        isOpen={open === 'reminders'}
        onPress={toggle('reminders')}
      />
      {open === 'reminders' && (
        <RemindersPart
          reminders={reminders}
          availability={availability}
          begin={{ start, wholeDay }}
          hasTravel={travelBefore > 0}
          calendar={calendar}
          preferences={preferences}
          onChange={(next) => setValue('reminders', next)}
        />
      )}
      {!wholeDay && (
        <Understood
          icon="walk"
          name="The way there"
          value={sayExtras({ ...NO_EXTRAS, travelBefore, travelAfter }) || 'No time to get there'}
          isOpen={open === 'travel'}
          onPress={toggle('travel')}
        />
      )}
      {!wholeDay && open === 'travel' && (
        <TravelFields
          travelBefore={travelBefore}
          travelAfter={travelAfter}
          start={start}
          wording={preferences.wording}
          onChange={(travel) => {
            if (travel.travelBefore !== undefined) setValue('travelBefore', travel.travelBefore);
            if (travel.travelAfter !== undefined) setValue('travelAfter', travel.travelAfter);
          }}
        />
      )}
      <Choice
        name="How much it matters"
        value={importanceOf(form.importance)}
        options={IMPORTANCE_CHOICES}
        onChoose={(importance) =>
          setValue('importance', withImportance(importance, form.importance))
        }
      />
      <Check
        label="Do not disturb me while it lasts"
        isOn={form.isQuiet}
        onChange={(isQuiet) => setValue('isQuiet', isQuiet)}
      />
    </>
  );
}
