import type { ComponentProps } from 'react';
import { TextInput } from 'react-native-paper';

type Props = Omit<ComponentProps<typeof TextInput>, 'mode'> & { label: string };

const ROUND = { borderRadius: 7 };

/** A text field that names itself to everyone: Paper's label is for the eye alone. */
export function TextField(props: Props) {
  return (
    <TextInput mode="outlined" dense aria-label={props.label} outlineStyle={ROUND} {...props} />
  );
}
