import { Controller } from 'react-hook-form';
import { firstLink } from '@/core/jot/links';
import { TextField } from '@/ui/TextField';
import type { Editor } from './useEditor';

interface Props {
  editor: Pick<Editor, 'control' | 'form' | 'setValue'>;
  name: 'title' | 'place' | 'link' | 'notes';
  label: string;
  lines?: number;
}

/** A text of an event. An address that is pasted into it is the event's link, when it has none. */
export function EventText({ editor, name, label, lines = 1 }: Props) {
  const { control, form, setValue } = editor;
  function takePastedLink(before: string, after: string) {
    const link = firstLink(after);
    const isPasted = after.length > before.length + 8 && link !== '' && !before.includes(link);
    if (isPasted && name !== 'link' && form.link === '') setValue('link', link);
  }
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <TextField
          label={label}
          value={field.value}
          onChangeText={(typed) => {
            field.onChange(typed);
            takePastedLink(field.value, typed);
          }}
          onBlur={field.onBlur}
          multiline={lines > 1}
          numberOfLines={lines}
          autoFocus={name === 'title'}
        />
      )}
    />
  );
}
