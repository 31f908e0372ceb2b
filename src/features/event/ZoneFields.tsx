import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { EventForm } from '@/core/editing/form';
import { cityOf } from '@/core/time/zoneNames';
import type { EpochMs } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';
import { Understood } from './Understood';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { ToggleChip } from '@/ui/ToggleChip';

type Zones = Pick<EventForm, 'zone' | 'endZone'>;

interface Props extends Zones {
  /** When the event begins, epoch ms. */
  at: EpochMs;
  preferences: Preferences;
  /** What the hours are at home or on the sheet, where that is another clock. */
  elsewhere: string | null;
  onChange(zones: Zones): void;
}

function sayZones({ zone, endZone }: Zones, home: string): string {
  if (zone === null) return 'Floating: the same clock time everywhere';
  if (endZone !== null && endZone !== zone)
    return `Starts in ${cityOf(zone)}, ends in ${cityOf(endZone)}`;
  return zone === home ? `${cityOf(zone)} time, home` : `${cityOf(zone)} time`;
}

/** Whose clock an event's hours are on: one zone, two for a journey, or none. */
export function ZoneFields({ zone, endZone, at, preferences, elsewhere, onChange }: Props) {
  const { zone: home, wording } = preferences;
  const [isOpen, setOpen] = useState(false);
  const [hasTwo, setTwo] = useState(endZone !== zone);
  const said = sayZones({ zone, endZone }, home);
  const { hourCycle } = wording;
  return (
    <View style={{ gap: 6 }}>
      <Understood
        icon="earth"
        name="Time zone"
        value={elsewhere ? `${said} · ${elsewhere}` : said}
        isOpen={isOpen}
        onPress={() => setOpen((last) => !last)}
      />
      {isOpen && (
        <>
          <ZonePicker
            key={`start ${zone}`}
            label={hasTwo ? 'Zone of the start' : 'Zone'}
            zone={zone}
            at={at}
            placeholder="Floating"
            hourCycle={hourCycle}
            onChoose={(chosen) => onChange({ zone: chosen, endZone: hasTwo ? endZone : chosen })}
            {...(zone === home
              ? {}
              : {
                  other: {
                    label: 'Back to home',
                    onPress: () => onChange({ zone: home, endZone: home }),
                  },
                })}
          />
          {hasTwo && (
            <ZonePicker
              key={`end ${endZone}`}
              label="Zone of the end"
              zone={endZone}
              at={at}
              hourCycle={hourCycle}
              onChoose={(chosen) => onChange({ zone, endZone: chosen })}
            />
          )}
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
            <ToggleChip
              label="Ends in another zone"
              isOn={hasTwo}
              onPress={() => {
                setTwo(!hasTwo);
                if (hasTwo) onChange({ zone, endZone: zone });
                else if (zone === null) onChange({ zone: home, endZone: home });
              }}
            />
            {!hasTwo && (
              <ToggleChip
                label="Floating"
                isOn={zone === null}
                onPress={() =>
                  onChange(
                    zone === null ? { zone: home, endZone: home } : { zone: null, endZone: null },
                  )
                }
              />
            )}
          </View>
          {zone === null && (
            <Text variant="bodySmall">
              A floating time has no zone: 9:00 is 9:00 wherever it is read.
            </Text>
          )}
        </>
      )}
    </View>
  );
}
