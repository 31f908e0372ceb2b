import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { alikeInks, inkName } from '@/core/calendars/inks';
import type { Calendar } from '@/core/model/calendar';
import { joinWords } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { Card } from '@/ui/Card';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

/** Which shown calendars are hard to tell apart, with the ink that would help. */
export function AlikeCard({ calendars }: { calendars: readonly Calendar[] }) {
  const palette = usePalette();
  const act = useDo();
  const found = alikeInks(calendars.filter(({ shown, listed }) => shown && listed));
  if (!found.length) return null;
  return (
    <Card title="Hard to tell apart">
      {found.map(({ calendar, like, who, sameMark, better }) => (
        <View key={calendar.id} style={styles.pair}>
          <View style={styles.marks}>
            {[calendar, ...like].map(({ id, mark, ink }) => (
              <Mark key={id} mark={mark} colour={inkColours(ink, palette).edge} size={18} />
            ))}
          </View>
          <Text style={styles.text}>
            {calendar.name} looks like {joinWords(like.map(({ name }) => name))}
            {who === 'some' ? ' to people who are colour-blind' : ''}
            {sameMark ? ', and has the same mark' : ''}.
          </Text>
          <Button
            compact
            mode="outlined"
            onPress={() =>
              void act({ kind: 'editCalendar', before: calendar, fields: { ink: better } })
            }
          >
            {`Give ${calendar.name} the ink ${inkName(better)}`}
          </Button>
        </View>
      ))}
    </Card>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 10 },
  marks: { flexDirection: 'row', gap: 4 },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
});
