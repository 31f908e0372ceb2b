import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import { spanName } from '@/core/view/spanWords';
import { useDo } from '@/data/commands';
import { Icon } from '@/ui/icons/Icon';
import { usePalette, textPx } from '@/ui/theme/theme';
import { usePlan } from '../PlanProvider';
import { FORM_DEFS } from './forms';
import { later } from '@/ui/later';

const ViewDialog = later(() => import('./ViewDialog').then((part) => part.ViewDialog));

/** Days that are offered from today on. */
const NEXT_DAYS = 7;

/** What the sheet shows and how it is drawn; a press changes both. */
export function ViewPicker() {
  const { place, lensing, preferences, today, dialog, calendars, dispatch, show } = usePlan();
  const { settings } = preferences;
  const { view, setting, range } = place;
  const act = useDo();
  const palette = usePalette();
  const form = FORM_DEFS[view.form];
  const span = spanName(view.span, setting);
  const said = span === form.name ? span : `${span} · ${form.name.toLowerCase()}`;
  const lens = lensing.current;
  const label = lens && !lensing.isChanged ? lens.name : said;
  return (
    <>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        aria-label={`${label}: change how the sheet is seen`}
        onPress={() => dispatch({ do: 'ask', dialog: 'view' })}
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
      {dialog === 'view' && (
        <ViewDialog
          view={view}
          setting={setting}
          days={range.days.length}
          onView={show}
          lenses={{
            all: lensing.lenses,
            current: lens,
            isChanged: lensing.isChanged,
            onPick: lensing.pick,
            onEdit: () => dispatch({ do: 'ask', dialog: 'lenses' }),
            onUpdate: () => {
              if (!lens) return;
              const changed = { ...lens, view };
              void act({ kind: 'keepLens', before: lens, lens: changed, isView: true });
            },
          }}
          colourBy={settings.colourBy}
          onColourBy={(colourBy) =>
            void act({
              kind: 'setSettings',
              before: settings,
              fields: { colourBy },
              label: `Inks by ${colourBy}`,
            })
          }
          hasFactCalendars={calendars.some(({ isFacts }) => isFacts)}
          onNextSeven={() => place.showSpan({ kind: 'days', count: NEXT_DAYS }, today)}
          onPeriods={() => dispatch({ do: 'ask', dialog: 'periods' })}
          onClose={() => dispatch({ do: 'ask', dialog: null })}
        />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  button: {
    height: 40,
    maxWidth: 190,
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
