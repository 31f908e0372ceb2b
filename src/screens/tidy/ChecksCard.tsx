import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { CheckName } from '@/core/model/checks';
import { CHECK_WORDS } from '@/core/model/checks';
import { useCheckCounts } from '@/data/tidying';
import { Card } from '@/ui/Card';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

/** What can be in disorder, with how much of it is; those that find nothing are named below. */
export function ChecksCard({
  open,
  onOpen,
}: {
  open: CheckName | null;
  onOpen(check: CheckName): void;
}) {
  const palette = usePalette();
  const { data: counts } = useCheckCounts();
  const found = counts?.filter(({ count, left }) => count > 0 || left > 0) ?? [];
  const clean = counts?.filter(({ count, left }) => count === 0 && left === 0) ?? [];
  const total = found.reduce((sum, { count }) => sum + count, 0);
  return (
    <Card title="Checks">
      <Text role="status">
        {!counts
          ? 'Looking through everything …'
          : total === 0
            ? 'Everything is in order.'
            : `${total.toLocaleString('en')} to look at. Nothing is changed until you say so.`}
      </Text>
      <View role="list" aria-label="Checks">
        {found.map(({ check, count, left }) => {
          const isOpen = check === open;
          return (
            <View key={check} role="listitem">
              <Pressable
                role="button"
                aria-expanded={isOpen}
                onPress={() => onOpen(check)}
                style={[
                  styles.row,
                  { borderColor: palette.hairline },
                  isOpen && { backgroundColor: palette.accentWash },
                ]}
              >
                <Text style={[styles.count, { color: count ? palette.accent : palette.dim }]}>
                  {count.toLocaleString('en')}
                </Text>
                <View style={styles.text}>
                  <Text style={styles.name}>{CHECK_WORDS[check].name}</Text>
                  <Text variant="bodySmall" style={{ color: palette.dim }}>
                    {CHECK_WORDS[check].says}
                    {left > 0 ? ` · ${left} left as they are` : ''}
                  </Text>
                </View>
                <Icon name="chevron-right" size={20} color={palette.dim} />
              </Pressable>
            </View>
          );
        })}
      </View>
      {clean.length > 0 && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {`In order: ${clean.map(({ check }) => CHECK_WORDS[check].name.toLowerCase()).join(', ')}.`}
        </Text>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: 48,
    paddingVertical: 5,
    paddingHorizontal: 4,
    borderBottomWidth: 1,
  },
  count: { width: 40, textAlign: 'right', fontWeight: '600', fontVariant: ['tabular-nums'] },
  text: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
});
