import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import { zoneOnDay } from '@/core/time/sheetClock';
import type { WallMs } from '@/core/time/units';
import { count, sayDay, sayLength, sayMinute, SHORT_DAY } from '@/core/time/words';
import { instantFromWall } from '@/core/time/zones';
import { usePreferences } from '@/data/preferences';
import type { ShownOpenings } from '@/data/shownOpenings';
import { dropOffered, hideOpenings, offerDrawn, useShownOpenings } from '@/data/shownOpenings';
import { OfferLater } from '@/features/openings/later';
import { usePalette } from '@/ui/theme/theme';

/** What the bar says: whose openings, or that times are drawn to be offered. */
function sayShown({ isClear, names, offered, minutes }: ShownOpenings): string {
  if (offered)
    return offered.length
      ? `${count(offered.length, 'time')} to offer, ${sayLength(minutes)} each`
      : 'Draw the times to offer on the sheet';
  const whose = `${isClear ? 'Clear for you' : 'Least in the way of you'}${names ? `, ${names}` : ''}`;
  return `${whose}: draw in a band to add`;
}

/** Above the sheet, while it has openings as bands: for whom, times drawn to be offered, and the way to take them off. */
export function OpeningsBar() {
  const palette = usePalette();
  const { clock, wording } = usePreferences();
  const shown = useShownOpenings();
  const [isWriting, setWriting] = useState(false);
  if (!shown) return null;
  const { offered } = shown;
  const said = (start: WallMs) =>
    `${sayDay(dayOfWall(start), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(start), wording.hourCycle)}`;
  const instantOf = (start: WallMs) => instantFromWall(start, zoneOnDay(clock, dayOfWall(start)));
  return (
    <View
      role="region"
      aria-label="Openings on the sheet"
      style={[styles.bar, { backgroundColor: palette.accentWash, borderColor: palette.hairline }]}
    >
      <View style={[styles.band, { borderColor: palette.accent }]} />
      <Text style={styles.said}>{sayShown(shown)}</Text>
      {offered?.map((start) => (
        <Button
          key={start}
          compact
          mode="outlined"
          icon="close"
          accessibilityLabel={`Leave out ${said(start)}`}
          onPress={() => dropOffered(start)}
        >
          {said(start)}
        </Button>
      ))}
      <View style={styles.buttons}>
        {offered ? (
          <>
            <Button
              compact
              mode="contained"
              disabled={!offered.length}
              onPress={() => setWriting(true)}
            >
              Offer them
            </Button>
            <Button compact onPress={() => offerDrawn(false)}>
              Offer none
            </Button>
          </>
        ) : (
          <Button compact onPress={() => offerDrawn(true)}>
            Offer drawn times
          </Button>
        )}
        <Button compact onPress={hideOpenings}>
          Take off
        </Button>
      </View>
      {isWriting && offered && (
        <OfferLater
          starts={offered.map(instantOf)}
          minutes={shown.minutes}
          guests={shown.guests}
          onBack={() => setWriting(false)}
          onClose={() => {
            setWriting(false);
            hideOpenings();
          }}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    paddingLeft: 14,
    paddingRight: 6,
    paddingVertical: 2,
    minHeight: 44,
    borderBottomWidth: 1,
  },
  band: { width: 22, height: 12, borderWidth: 1, borderStyle: 'dashed', borderRadius: 3 },
  said: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', marginLeft: 'auto' },
});
