import { useRouter } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Settings } from '@/core/model/others';
import type { Lens, View as SheetView, ViewSpan } from '@/core/model/view';
import { DETAILS, FORMS } from '@/core/model/view';
import { roughDays, suits, withSpan } from '@/core/view/forms';
import type { SpanSetting } from '@/core/view/spans';
import { rangeOf } from '@/core/view/spans';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
import { DETAIL_WORDS, FORM_DEFS } from './forms';
import { HelpMark } from '@/features/help/HelpMark';
import { RadioGroup } from '@/ui/RadioGroup';

interface Props {
  view: SheetView;
  setting: SpanSetting;
  /** Days shown now. */
  days: number;
  onView(view: SheetView): void;
  lenses: {
    all: readonly Lens[];
    current: Lens | null;
    isChanged: boolean;
    onPick(lens: Lens): void;
    onEdit(): void;
    onUpdate(): void;
  };
  /** What the inks of events stand for, everywhere. */
  colourBy: Settings['colourBy'];
  onColourBy(colourBy: Settings['colourBy']): void;
  /** Whether any calendar tells facts of days. */
  hasFactCalendars: boolean;
  onNextSeven(): void;
  onPeriods(): void;
  onClose(): void;
}

const SIMPLE = [
  { value: 'day', label: 'Day' },
  { value: 'workweek', label: 'Work week' },
  { value: 'week', label: 'Week' },
  { value: 'month', label: 'Month' },
  { value: 'year', label: 'Year' },
] as const;

const numbers = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, i) => ({ value: from + i, label: String(from + i) }));

/** How long a stretch the sheet shows, and how it is drawn. Every choice shows at once, and none closes it. */
export function ViewDialog(props: Props) {
  const { view, setting, days, lenses, onView, onNextSeven, onPeriods, onClose } = props;
  const palette = usePalette();
  const router = useRouter();
  const { span } = view;
  const periods = [...setting.periods, ...setting.periodRuns];
  const choose = (next: ViewSpan) => {
    const range = rangeOf({ span: next, day: 0 }, setting);
    onView(withSpan(view, next, roughDays(next) ?? range.to - range.from));
  };
  return (
    <Dialog
      title="How the sheet is seen"
      onClose={onClose}
      footer={
        <>
          <Button onPress={() => router.navigate('/print')}>Print…</Button>
          <Button mode="contained" onPress={onClose}>
            Done
          </Button>
        </>
      }
    >
      <View style={styles.lenses}>
        {lenses.all.length > 0 && (
          <Choice
            name="Lenses"
            value={lenses.current?.id ?? ''}
            options={lenses.all.map(({ id, name }) => ({ value: id, label: name }))}
            onChoose={(id) => lenses.onPick(lenses.all.find((lens) => lens.id === id)!)}
          />
        )}
        <View style={styles.buttons}>
          <Button
            icon="plus"
            compact
            onPress={() => {
              onClose();
              lenses.onEdit();
            }}
          >
            {lenses.all.length ? 'Save as a lens, edit lenses' : 'Save as a lens'}
          </Button>
          {lenses.current && lenses.isChanged && (
            <Button icon="check" compact onPress={lenses.onUpdate}>
              {`Update ${lenses.current.name}`}
            </Button>
          )}
          <HelpMark topic="see" about="lenses and forms" />
        </View>
      </View>
      <Choice
        name="How long"
        value={span.kind}
        options={SIMPLE.map(({ value, label }) => ({ value: value as ViewSpan['kind'], label }))}
        onChoose={(kind) => choose({ kind } as ViewSpan)}
      />
      <View style={styles.counts}>
        <Choice
          name="Days"
          value={span.kind === 'days' ? span.count : 0}
          options={numbers(2, 7)}
          onChoose={(count) => choose({ kind: 'days', count })}
        />
        <Choice
          name="Weeks"
          value={span.kind === 'weeks' ? span.count : 0}
          options={numbers(2, 6)}
          onChoose={(count) => choose({ kind: 'weeks', count })}
        />
      </View>
      {periods.length > 0 && (
        <Choice
          name="Periods"
          value={span.kind === 'period' ? span.id : ''}
          options={periods.map(({ id, name }) => ({ value: id, label: name }))}
          onChoose={(id) => choose({ kind: 'period', id })}
        />
      )}
      <View style={styles.buttons}>
        <Button icon="calendar-arrow-right" compact onPress={onNextSeven}>
          Seven days from today
        </Button>
        <Button
          icon="calendar-range-outline"
          compact
          onPress={() => {
            onClose();
            onPeriods();
          }}
        >
          {periods.length ? 'Edit periods' : 'Make a period'}
        </Button>
        <Button icon="cog-outline" compact onPress={() => router.navigate('/settings')}>
          Weekends, sizes, colours
        </Button>
      </View>
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        Drawn as
      </Text>
      <RadioGroup name="Drawn as" style={styles.forms}>
        {FORMS.map((form) => {
          const { name, icon, says, needs } = FORM_DEFS[form];
          const isFit = suits(form, days);
          const isChosen = form === view.form;
          return (
            <Pressable
              key={form}
              role="radio"
              aria-checked={isChosen}
              aria-label={`${name}: ${isFit ? says : needs}`}
              disabled={!isFit}
              onPress={() => onView({ ...view, form })}
              style={[
                styles.form,
                {
                  borderColor: isChosen ? palette.accent : palette.hairline,
                  backgroundColor: isChosen
                    ? palette.accentWash
                    : isFit
                      ? palette.sheet
                      : palette.paper,
                },
              ]}
            >
              <Icon name={icon} size={22} color={isFit ? palette.accent : palette.dim} />
              <View style={styles.words}>
                <Text style={[styles.name, !isFit && { color: palette.dim }]}>{name}</Text>
                <Text variant="bodySmall" style={{ color: palette.dim }}>
                  {isFit ? says : needs}
                </Text>
              </View>
            </Pressable>
          );
        })}
      </RadioGroup>
      {(view.form === 'rows' || view.form === 'columns') && (
        <Choice
          name="Each row or column stands for"
          value={view.split}
          options={[
            { value: 'day', label: 'A day' },
            { value: 'calendar', label: 'A calendar' },
            { value: 'person', label: 'A person' },
          ]}
          onChoose={(split) => onView({ ...view, split })}
        />
      )}
      <Check
        label="A line of what is due on each day"
        isOn={view.hasTasks}
        onChange={(hasTasks) => onView({ ...view, hasTasks })}
      />
      {props.hasFactCalendars && (
        <Check
          label="Facts of the day in the heads of days"
          isOn={view.hasFacts}
          onChange={(hasFacts) => onView({ ...view, hasFacts })}
        />
      )}
      <Choice
        name="Inks are those of"
        value={props.colourBy}
        options={[
          { value: 'calendar', label: 'Calendars' },
          { value: 'category', label: 'Categories' },
        ]}
        onChoose={props.onColourBy}
      />
      {view.form === 'grid' && (
        <Choice
          name="Detail of the grid"
          value={view.detail}
          options={DETAILS.map((value) => ({ value, label: DETAIL_WORDS[value] }))}
          onChoose={(detail) => onView({ ...view, detail })}
        />
      )}
    </Dialog>
  );
}

const styles = StyleSheet.create({
  lenses: { maxWidth: 470, gap: 2 },
  counts: { gap: 6, maxWidth: 470 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 4 },
  forms: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, maxWidth: 470 },
  form: {
    flexGrow: 1,
    flexBasis: 200,
    minHeight: 52,
    paddingHorizontal: 10,
    borderWidth: 1,
    borderRadius: 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
  },
  words: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
});
