import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import { spanName } from '@/core/view/spanWords';
import { Icon } from '@/ui/icons/Icon';
import { usePalette, textPx } from '@/ui/theme/theme';
import { FORM_WORDS } from './forms';
import type { ViewChoices } from './ViewDialog';
import { ViewDialog } from './ViewDialog';

interface Props extends ViewChoices {
  isOpen: boolean;
  onOpen(isOpen: boolean): void;
}

/** What the sheet shows and how it is drawn; a press changes both. */
export function ViewPicker(props: Props) {
  const { view, setting, isOpen, onOpen } = props;
  const palette = usePalette();
  const form = FORM_WORDS[view.form];
  const span = spanName(view.span, setting);
  const said = span === form.name ? span : `${span} · ${form.name.toLowerCase()}`;
  const { lens, isLensChanged } = props;
  const label = lens && !isLensChanged ? lens.name : said;
  return (
    <>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        aria-label={`${label}: change how the sheet is seen`}
        onPress={() => onOpen(true)}
        style={[
          styles.button,
          { borderColor: palette.accent, backgroundColor: palette.accentWash },
        ]}
      >
        <Icon name={form.icon} size={17} color={palette.accent} />
        <Text style={styles.label} numberOfLines={1}>
          {label}
        </Text>
        <Icon name="menu-down" size={18} color={palette.accent} />
      </Pressable>
      {isOpen && <ViewDialog {...props} onClose={() => onOpen(false)} />}
    </>
  );
}

const styles = StyleSheet.create({
  button: {
    height: 40,
    maxWidth: 190,
    marginLeft: 14,
    marginBottom: 8,
    paddingLeft: 9,
    paddingRight: 5,
    borderWidth: 1,
    borderRadius: 9,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 5,
  },
  label: { fontWeight: '600', fontSize: textPx(13.5), flexShrink: 1 },
});
