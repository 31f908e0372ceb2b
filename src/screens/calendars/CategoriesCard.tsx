import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { freeInk } from '@/core/calendars/inks';
import type { Category } from '@/core/model/others';
import { count } from '@/core/time/words';
import { useDo, usePreview } from '@/data/commands';
import { useCategories } from '@/data/queries';
import { Card } from '@/ui/Card';
import { CategoryDot } from '@/ui/CategoryDot';
import { Dialog } from '@/ui/Dialog';
import { InkChoice } from '@/ui/InkChoice';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';

interface DialogProps {
  /** Null makes a new one. */
  category: Category | null;
  categories: readonly Category[];
  onClose(): void;
}

function CategoryDialog({ category, categories, onClose }: DialogProps) {
  const act = useDo();
  const [form, setForm] = useState<Category>(
    () =>
      category ?? {
        id: nanoid(12),
        name: '',
        ink: freeInk(categories.map(({ ink }) => ink)),
        order: Math.max(-1, ...categories.map(({ order }) => order)) + 1,
      },
  );
  const taking = category && ({ kind: 'removeCategory', id: category.id } as const);
  // The category itself is not among the events that lose it.
  const reached = usePreview(taking)?.counts.event ?? 0;
  const name = form.name.trim();
  const isTaken = categories.some(
    (other) => other.id !== form.id && other.name.toLowerCase() === name.toLowerCase(),
  );
  const isGood = name !== '' && !isTaken;

  async function keep() {
    if (!isGood) return;
    const done = await act({
      kind: 'keepCategory',
      before: category,
      category: { ...form, name },
    });
    if (done) onClose();
  }

  return (
    <Dialog
      title={category ? `Edit ${category.name}` : 'New category'}
      onClose={onClose}
      footer={
        <>
          {taking && (
            <Button
              onPress={() => {
                onClose();
                void act(taking);
              }}
            >
              {reached === 0 ? 'Remove' : `Remove from ${count(reached, 'event')}`}
            </Button>
          )}
          <Button mode="contained" disabled={!isGood} onPress={() => void keep()}>
            {category ? 'Keep' : 'Make'}
          </Button>
        </>
      }
    >
      <View style={styles.fields}>
        <TextField
          label="Name"
          value={form.name}
          error={isTaken}
          autoFocus
          onChangeText={(text) => setForm((last) => ({ ...last, name: text }))}
          onSubmitEditing={() => void keep()}
        />
        {isTaken && <Text role="alert">Another category has this name.</Text>}
        <InkChoice
          name="Ink"
          ink={form.ink}
          onChoose={(ink) => setForm((last) => ({ ...last, ink }))}
        />
      </View>
    </Dialog>
  );
}

/** Labels across calendars: made, renamed, given inks, removed. */
export function CategoriesCard() {
  const palette = usePalette();
  const categories = useCategories();
  const [open, setOpen] = useState<Category | 'new' | null>(null);
  return (
    <Card title="Categories">
      <Text>
        What an event is about, whichever calendar it is on. In a jotted line: #lamps, for example.
      </Text>
      <View role="list" aria-label="Categories">
        {categories.map((category) => (
          <View
            key={category.id}
            role="listitem"
            style={[styles.row, { borderColor: palette.hairline }]}
          >
            <CategoryDot ink={category.ink} size={16} />
            <Text style={styles.name}>{category.name}</Text>
            <IconButton
              icon="pencil-outline"
              accessibilityLabel={`Edit ${category.name}`}
              onPress={() => setOpen(category)}
              style={styles.icon}
            />
          </View>
        ))}
      </View>
      <View style={styles.buttons}>
        <Button mode="outlined" icon="plus" onPress={() => setOpen('new')}>
          New category
        </Button>
      </View>
      {open && (
        <CategoryDialog
          category={open === 'new' ? null : open}
          categories={categories}
          onClose={() => setOpen(null)}
        />
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48, borderBottomWidth: 1 },
  name: { flex: 1, minWidth: 0 },
  icon: { margin: 0, width: 40, height: 40 },
  buttons: { flexDirection: 'row' },
  fields: { gap: 12, paddingTop: 6, width: 'min(84vw, 460px)' } as object,
});
