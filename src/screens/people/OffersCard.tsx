import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayMoment } from '@/core/people/standing';
import { sayLength } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { useNow } from '@/data/now';
import { useOffers } from '@/data/people';
import { usePreferences } from '@/data/preferences';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';

/** Times that are held for others to choose from: one is taken, or all are let go. */
export function OffersCard() {
  const palette = usePalette();
  const act = useDo();
  const now = useNow();
  const { clock, wording } = usePreferences();
  const offers = useOffers();
  if (!offers.length) return null;
  return (
    <Card title="Offered times">
      <View role="list" aria-label="Offered times">
        {offers.map(({ id, title, minutes, times }) => (
          <View
            key={id}
            role="listitem"
            aria-label={title}
            style={[styles.offer, { borderColor: palette.hairline }]}
          >
            <View style={styles.head}>
              <View style={styles.words}>
                <Text style={styles.name}>{title}</Text>
                <Text variant="bodySmall" style={{ color: palette.dim }}>
                  {`${sayLength(minutes)} · press the time that was taken`}
                </Text>
              </View>
              <Button compact onPress={() => void act({ kind: 'letGoOffer', id })}>
                Let go
              </Button>
            </View>
            <View style={styles.times}>
              {times.map(({ start }) => (
                <Button
                  key={start}
                  mode="outlined"
                  compact
                  accessibilityLabel={`Taken: ${sayMoment(start, now, clock, wording)}`}
                  onPress={() => void act({ kind: 'takeOffer', id, start })}
                >
                  {sayMoment(start, now, clock, wording)}
                </Button>
              ))}
            </View>
          </View>
        ))}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  offer: { borderBottomWidth: 1, paddingVertical: 6, gap: 6 },
  head: { flexDirection: 'row', alignItems: 'center' },
  words: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
  times: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
