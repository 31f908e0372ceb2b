import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { dayOf } from '@/core/model/common';
import { isSeries } from '@/core/model/event';
import { count, sayDay } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { usePreferences } from '@/data/preferences';
import { useFoundEvents } from '@/data/queries';
import { Check } from '@/ui/Check';
import { TextField } from '@/ui/TextField';

const DAY_FORM = { day: 'numeric', month: 'short', year: 'numeric' } as const;

interface Props {
  chosen: readonly string[];
  /** Whether only one is chosen, and another one instead of it. */
  isOne?: boolean;
  onChange(ids: string[]): void;
}

/** Events, found by words and chosen one by one. */
export function EventPicker({ chosen, isOne = false, onChange }: Props) {
  const { wording } = usePreferences();
  const [text, setText] = useState('');
  const { data: found = [] } = useFoundEvents(text);
  return (
    <View style={styles.parts}>
      <TextField label="Words in the event" value={text} onChangeText={setText} />
      {!isOne && <Text variant="bodySmall">{count(chosen.length, 'event')} chosen</Text>}
      <ScrollView style={styles.list} role="list" aria-label="Events">
        {found.map((event) => {
          const isOn = chosen.includes(event.id);
          const day = sayDay(dayOf(event.start), wording, DAY_FORM);
          return (
            <Check
              key={event.id}
              label={`${titleOf(event)} · ${day}${isSeries(event) ? ' · series' : ''}`}
              isOn={isOn}
              onChange={(on) =>
                onChange(
                  on
                    ? [...(isOne ? [] : chosen), event.id]
                    : chosen.filter((id) => id !== event.id),
                )
              }
            />
          );
        })}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  parts: { gap: 6 },
  list: { maxHeight: 220 },
});
