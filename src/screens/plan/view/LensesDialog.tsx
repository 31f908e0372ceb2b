import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import type { Lens, View as SheetView } from '@/core/model/view';
import { lensOf } from '@/core/view/lenses';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { ShareLater } from '@/features/sharing/later';
import { Dialog } from '@/ui/Dialog';
import { IconChoice } from '@/ui/IconChoice';
import { Icon } from '@/ui/icons/Icon';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import type { DayNumber } from '@/core/time/units';

interface Props {
  lenses: readonly Lens[];
  view: SheetView;
  /** Calendars that the sheet shows, by id: a lens keeps them. */
  shownIds: readonly string[];
  /** Day number of the stretch shown, and how that is called. */
  day: DayNumber;
  title: string;
  preferences: Preferences;
  onPick(lens: Lens): void;
  onClose(): void;
}

/** The saved sheets: made, picked, renamed, put in order, one taken as the first, removed. */
export function LensesDialog(props: Props) {
  const { lenses, view, shownIds, day, title, preferences, onPick, onClose } = props;
  const { settings } = preferences;
  const act = useDo();
  const palette = usePalette();
  const [editing, setEditing] = useState<Lens | null>(null);
  const [name, setName] = useState('');
  const [icon, setIcon] = useState<string | undefined>('compass-outline');
  const [isFixed, setFixed] = useState(false);
  const isGood = name.trim() !== '';
  const [shared, setShared] = useState<Lens | null>(null);

  async function save() {
    if (!isGood) return;
    const fields = { name: name.trim(), icon: icon ?? '' };
    if (editing) {
      await act({ kind: 'keepLens', before: editing, lens: { ...editing, ...fields } });
      setEditing(null);
      setName('');
      return;
    }
    const order = Math.max(-1, ...lenses.map((lens) => lens.order)) + 1;
    const kept = { ...view, calendarIds: [...shownIds] };
    const lens = lensOf({ id: nanoid(12), order, ...fields }, kept, isFixed ? day : null);
    if (await act({ kind: 'keepLens', before: null, lens })) {
      onPick(lens);
      onClose();
    }
  }

  function edit(lens: Lens) {
    setEditing(lens);
    setName(lens.name);
    setIcon(lens.icon || undefined);
  }

  const move = (lens: Lens, by: -1 | 1) => void act({ kind: 'moveLens', id: lens.id, by });

  if (shared)
    return <ShareLater of={{ kind: 'lens', id: shared.id }} name={shared.name} onClose={onClose} />;
  return (
    <Dialog
      title="Lenses"
      onClose={onClose}
      footer={
        <>
          {editing && <Button onPress={() => setEditing(null)}>Cancel</Button>}
          <Button mode="contained" disabled={!isGood} onPress={() => void save()}>
            {editing ? 'Keep' : 'Save this sheet'}
          </Button>
        </>
      }
    >
      {lenses.length > 0 && (
        <View role="list" aria-label="Lenses">
          {lenses.map((lens, i) => {
            const isFirst = settings.defaultLensId === lens.id;
            return (
              <View key={lens.id} role="listitem" style={styles.row}>
                <Icon name={lens.icon || 'eye-outline'} size={20} color={palette.accent} />
                <View style={styles.words}>
                  <Text style={styles.name}>{lens.name}</Text>
                  <Text variant="bodySmall" style={{ color: palette.dim }}>
                    {[
                      i < 9 ? `key ${i + 1}` : '',
                      lens.day === null ? '' : 'always the same days',
                      isFirst ? 'opens first' : '',
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </Text>
                </View>
                <IconButton
                  icon={isFirst ? 'flag' : 'flag-outline'}
                  size={20}
                  accessibilityLabel={
                    isFirst ? `${lens.name} opens first` : `Open ${lens.name} first`
                  }
                  onPress={() =>
                    void act({
                      kind: 'setSettings',
                      before: settings,
                      fields: { defaultLensId: isFirst ? null : lens.id },
                      label: isFirst ? 'No lens opens first' : `${lens.name} opens first`,
                    })
                  }
                  style={styles.button}
                />
                <IconButton
                  icon="chevron-up"
                  size={20}
                  disabled={i === 0}
                  accessibilityLabel={`${lens.name}: up`}
                  onPress={() => move(lens, -1)}
                  style={styles.button}
                />
                <IconButton
                  icon="chevron-down"
                  size={20}
                  disabled={i === lenses.length - 1}
                  accessibilityLabel={`${lens.name}: down`}
                  onPress={() => move(lens, 1)}
                  style={styles.button}
                />
                <IconButton
                  icon="pencil-outline"
                  size={20}
                  accessibilityLabel={`Rename ${lens.name}`}
                  onPress={() => edit(lens)}
                  style={styles.button}
                />
                <IconButton
                  icon="delete-outline"
                  size={20}
                  accessibilityLabel={`Remove ${lens.name}`}
                  onPress={() => void act({ kind: 'removeLens', id: lens.id })}
                  style={styles.button}
                />
              </View>
            );
          })}
        </View>
      )}
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        {editing ? `Name and icon of ${editing.name}` : 'Save the sheet as it is now'}
      </Text>
      <TextField label="Name" value={name} onChangeText={setName} />
      <IconChoice icon={icon} onChoose={setIcon} />
      {editing && (
        <Button
          icon="account-group-outline"
          style={styles.share}
          onPress={() => setShared(editing)}
        >{`Share ${editing.name}…`}</Button>
      )}
      {!editing && (
        <Choice<boolean>
          name="Which days it shows"
          value={isFixed}
          options={[
            { value: false, label: 'Around today' },
            { value: true, label: `Always ${title}` },
          ]}
          onChoose={setFixed}
        />
      )}
    </Dialog>
  );
}

const styles = StyleSheet.create({
  share: { alignSelf: 'flex-start' },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6, minHeight: 44 },
  words: { flex: 1, minWidth: 110 },
  name: { fontWeight: '600' },
  button: { margin: 0, width: 36, height: 40 },
});
