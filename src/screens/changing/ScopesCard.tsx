import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { ChangedDatesFate, Scope } from '@/core/editing/series/edit';
import { sayReach, SCOPE_NAMES } from '@/core/editing/series/sayScopes';
import { titleOf } from '@/core/model/titleOf';
import { count } from '@/core/time/words';
import type { SeriesScopes } from '@/engine/bulk/bulk';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { usePalette } from '@/ui/theme/theme';

export interface Scopes {
  scope: Scope;
  /** By event's id, of those that were said one by one. */
  scopes: Readonly<Record<string, Scope>>;
  fate: ChangedDatesFate;
}

interface Props {
  series: readonly SeriesScopes[];
  value: Scopes;
  onChange(value: Scopes): void;
}

const ALL: readonly Scope[] = ['this', 'later', 'every'];
const NAMES: Readonly<Record<Scope, string>> = {
  this: 'Only the selected dates',
  later: 'From the first selected date on',
  every: 'Every date',
};

/** Which dates of series are meant: once for all of them, or one by one, each with how many it touches. */
export function ScopesCard({ series, value, onChange }: Props) {
  const palette = usePalette();
  const [isEach, setEach] = useState(Object.keys(value.scopes).length > 0);
  return (
    <Card title={`Dates of ${count(series.length, 'series', 'series')}`}>
      <Choice
        name="Which dates"
        isNameHidden
        value={value.scope}
        options={ALL.map((scope) => ({ value: scope, label: NAMES[scope] }))}
        onChoose={(scope) => onChange({ ...value, scope, scopes: {} })}
      />
      {isEach ? (
        series.map(({ eventId, title, choices }) => {
          const chosen = value.scopes[eventId] ?? value.scope;
          const reach = choices.find(({ scope }) => scope === chosen);
          return (
            <View key={eventId} style={[styles.one, { borderColor: palette.hairline }]}>
              <Text style={styles.title}>{titleOf({ title })}</Text>
              <Choice
                name={`Dates of ${titleOf({ title })}`}
                isNameHidden
                value={chosen}
                options={choices.map(({ scope }) => ({ value: scope, label: SCOPE_NAMES[scope] }))}
                onChoose={(scope) =>
                  onChange({ ...value, scopes: { ...value.scopes, [eventId]: scope } })
                }
              />
              {reach && (
                <Text variant="bodySmall" style={{ color: palette.dim }}>
                  {sayReach(reach)}
                </Text>
              )}
            </View>
          );
        })
      ) : (
        <View style={styles.row}>
          <Button compact onPress={() => setEach(true)}>
            One by one
          </Button>
        </View>
      )}
      {value.scope !== 'this' && (
        <Check
          label="Dates changed by hand keep what they have"
          isOn={value.fate === 'keep'}
          onChange={(keeps) => onChange({ ...value, fate: keeps ? 'keep' : 'follow' })}
        />
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  one: { borderTopWidth: 1, paddingTop: 8, gap: 4 },
  title: { fontWeight: '600' },
  row: { flexDirection: 'row' },
});
