import { StyleSheet, Text, View } from 'react-native';
import { trackKey } from '@/core/layout/tracks';
import type { Calendar } from '@/core/model/calendar';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import type { Field } from './placeInColumns';

/** Which calendar each column stands for. */
export function TrackHeads({
  field,
  calendarOf,
}: {
  field: Field;
  calendarOf: ReadonlyMap<string, Calendar>;
}) {
  const palette = usePalette();
  return (
    <View style={[styles.heads, { borderColor: palette.hairline }]}>
      {field.tracks.map((track, i) => {
        const calendar = track.calendarId === null ? undefined : calendarOf.get(track.calendarId);
        return (
          calendar && (
            <View
              key={trackKey(track)}
              style={[
                styles.head,
                {
                  left: field.left + i * field.width,
                  width: field.width,
                  borderColor: palette.hairline,
                },
              ]}
            >
              <Mark
                mark={calendar.mark}
                colour={inkColours(calendar.ink, palette).edge}
                size={10}
              />
              <Text style={[styles.name, { color: palette.ink }]} numberOfLines={1}>
                {calendar.name}
              </Text>
            </View>
          )
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  heads: { height: 24, borderBottomWidth: 1 },
  head: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    borderLeftWidth: 1,
    paddingLeft: 5,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
  },
  name: { fontFamily: SANS, fontSize: textPx(12), fontWeight: '500', flex: 1, minWidth: 0 },
});
