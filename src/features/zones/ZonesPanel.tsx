import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, HelperText, IconButton, Text } from 'react-native-paper';
import type { Settings, WatchedZone } from '@/core/model/others';
import { MOST_ZONES } from '@/core/model/others';
import { parseDate } from '@/core/time/civil';
import type { Travel } from '@/core/time/sheetClock';
import { travelBetween, travelProblem } from '@/core/time/sheetClock';
import { SHORT_DAY, sayDay } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { DayNumber } from '@/core/time/units';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { PanelFrame } from '@/ui/PanelFrame';
import { DayField } from '@/ui/DayField';
import { Title } from '@/ui/Title';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';
import { ZonePicker } from './ZonePicker';

interface Props {
  preferences: Preferences;
  /** Day number that a new stay is offered from. */
  today: DayNumber;
  /** The zone that the sheet is seen as in for a while, if it is. */
  seenAs: string | null;
  onSeeAs(zone: string | null): void;
  onClose(): void;
}

function WatchedRow({
  watched,
  isSeen,
  onSee,
  onToggle,
  onRemove,
}: {
  watched: WatchedZone;
  isSeen: boolean;
  onSee(): void;
  onToggle(): void;
  onRemove(): void;
}) {
  const { hairline } = usePalette();
  const { label } = watched;
  return (
    <View role="listitem" style={[styles.entry, { borderColor: hairline }]}>
      <View style={styles.line}>
        <Text style={styles.name}>{label}</Text>
        <IconButton
          icon="close"
          size={20}
          accessibilityLabel={`Stop watching ${label}`}
          onPress={onRemove}
          style={styles.icon}
        />
      </View>
      <View style={styles.chips}>
        <ToggleChip
          label="On the sheet"
          isOn={watched.onSheet}
          onPress={onToggle}
          name={`${label}: hours on the sheet`}
        />
        <ToggleChip
          label="See from there"
          isOn={isSeen}
          onPress={onSee}
          name={`See the sheet as in ${label}`}
        />
      </View>
    </View>
  );
}

function Stays({ preferences, today }: Pick<Props, 'preferences' | 'today'>) {
  const { settings, wording, firstWeekday } = preferences;
  const act = useDo();
  const { hairline } = usePalette();
  const [zone, setZone] = useState<string | null>(null);
  const [days, setDays] = useState({ from: today + 7, to: today + 9 });
  const stay = travelBetween(days.from, days.to, zone ?? preferences.zone);
  const problem = travelProblem(stay);
  const isHome = zone === preferences.zone;

  function said({ from, to }: Travel): string {
    const day = (date: string) => sayDay(parseDate(date), wording, SHORT_DAY);
    return from === to ? day(from) : `${day(from)} – ${day(to)}`;
  }

  async function keep() {
    if (!zone || problem) return;
    const travel = [...settings.travel, stay].sort((a, b) => (a.from < b.from ? -1 : 1));
    const label = `Added travel to ${cityOf(zone)}`;
    if (await act({ kind: 'setSettings', before: settings, fields: { travel }, label }))
      setZone(null);
  }

  return (
    <>
      <Title level={3}>Travel</Title>
      <Text>On days spent elsewhere the sheet goes by the clock there.</Text>
      <View {...(settings.travel.length ? { role: 'list', 'aria-label': 'Travel' } : {})}>
        {settings.travel.map((one) => (
          <View
            role="listitem"
            key={`${one.from} ${one.zone}`}
            style={[styles.line, styles.entry, { borderColor: hairline }]}
          >
            <Text style={styles.name}>
              {cityOf(one.zone)}, {said(one)}
            </Text>
            <IconButton
              icon="close"
              size={20}
              accessibilityLabel={`Remove travel to ${cityOf(one.zone)}`}
              onPress={() =>
                void act({
                  kind: 'setSettings',
                  before: settings,
                  fields: { travel: settings.travel.filter((other) => other !== one) },
                  label: `Removed travel to ${cityOf(one.zone)}`,
                })
              }
              style={styles.icon}
            />
          </View>
        ))}
      </View>
      <ZonePicker
        label="Travel to"
        zone={zone}
        hourCycle={wording.hourCycle}
        onChoose={(chosen) => setZone(chosen)}
      />
      {zone && (
        <>
          <DayField
            label="First day there"
            day={days.from}
            wording={wording}
            firstWeekday={firstWeekday}
            onChange={(from) => setDays(({ to }) => ({ from, to: Math.max(from, to) }))}
          />
          <DayField
            label="Last day there"
            day={days.to}
            wording={wording}
            firstWeekday={firstWeekday}
            error={problem !== null}
            onChange={(to) => setDays(({ from }) => ({ from, to }))}
          />
          {(problem ?? isHome) && (
            <HelperText type="error" padding="none">
              {problem ?? 'That is the home zone already.'}
            </HelperText>
          )}
          <Button
            mode="outlined"
            icon="airplane"
            disabled={problem !== null || isHome}
            onPress={() => void keep()}
          >
            Add travel
          </Button>
        </>
      )}
    </>
  );
}

/** Other zones: those watched, their hours on the sheet, the sheet seen as in one, and travel. */
export function ZonesPanel({ preferences, today, seenAs, onSeeAs, onClose }: Props) {
  const { settings, wording, zone: home } = preferences;
  const act = useDo();
  const { zones } = settings;
  const change = (fields: Partial<Settings>, label: string) =>
    void act({ kind: 'setSettings', before: settings, fields, label });
  const isFull = zones.length >= MOST_ZONES;

  function watch(zone: string, label: string) {
    if (zones.some((other) => other.zone === zone)) return;
    change({ zones: [...zones, { zone, label, onSheet: true }] }, `Watching ${label}`);
  }

  return (
    <PanelFrame title="Zones" onClose={onClose}>
      <Text>
        Home is {cityOf(home)}. Up to {MOST_ZONES} more zones can be watched.
      </Text>
      <View {...(zones.length ? { role: 'list', 'aria-label': 'Zones watched' } : {})}>
        {zones.map((watched) => (
          <WatchedRow
            key={watched.zone}
            watched={watched}
            isSeen={seenAs === watched.zone}
            onSee={() => onSeeAs(seenAs === watched.zone ? null : watched.zone)}
            onToggle={() =>
              change(
                {
                  zones: zones.map((one) =>
                    one === watched ? { ...one, onSheet: !one.onSheet } : one,
                  ),
                },
                `${watched.onSheet ? 'Took' : 'Put'} ${watched.label}’s hours ${watched.onSheet ? 'off' : 'on'} the sheet`,
              )
            }
            onRemove={() =>
              change(
                { zones: zones.filter((one) => one !== watched) },
                `Stopped watching ${watched.label}`,
              )
            }
          />
        ))}
      </View>
      {!isFull && (
        <ZonePicker
          key={zones.length}
          label="Watch another zone"
          zone={null}
          hourCycle={wording.hourCycle}
          onChoose={watch}
        />
      )}
      <Stays preferences={preferences} today={today} />
    </PanelFrame>
  );
}

const styles = StyleSheet.create({
  entry: { borderBottomWidth: 1, paddingVertical: 6, gap: 4 },
  line: { flexDirection: 'row', alignItems: 'center' },
  name: { flex: 1, fontWeight: '600' },
  icon: { margin: 0, width: 40, height: 40 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
