import { render } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { Icon } from '../icons/Icon';
import { themeOf } from '../theme/theme';

const SETTINGS = {
  icon: ({ name, size }: { name: unknown; size: number }) => (
    <Icon name={String(name)} size={size} />
  ),
};

/** Draws an element as the app would, in the light. */
export function inTheme(element: React.ReactElement) {
  return render(
    <PaperProvider theme={themeOf(false, 'spruce', 1)} settings={SETTINGS}>
      {element}
    </PaperProvider>,
  );
}
