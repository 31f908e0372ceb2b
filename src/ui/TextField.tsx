import type { ComponentProps } from 'react';
import { TextInput, useTheme } from 'react-native-paper';

type Props = Omit<ComponentProps<typeof TextInput>, 'mode'> & { label: string };

const ROUND = { borderRadius: 7 };

/** A text field that names itself to everyone: Paper's label is for the eye alone. */
export function TextField({ style, ...props }: Props) {
  const { fonts } = useTheme();
  return (
    <TextInput
      mode="outlined"
      dense
      aria-label={props.label}
      outlineStyle={ROUND}
      // Paper's fields have a size of letters of their own, whatever the theme has.
      style={[{ fontSize: fonts.bodyLarge.fontSize }, style]}
      {...props}
    />
  );
}
