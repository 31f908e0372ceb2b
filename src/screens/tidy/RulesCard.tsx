import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { sayRuleSteps } from '@/core/bulk/sayBulk';
import { EMPTY_FILTER } from '@/core/model/filter';
import type { TidyRule } from '@/core/model/tidyRule';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { questionOf } from '@/data/finding';
import { useMessages } from '@/data/messages';
import { usePreferences } from '@/data/preferences';
import { useRules } from '@/data/rules';
import { selection } from '@/data/selection';
import { putStepsToTry } from '@/data/stepsToTry';
import { useFilterWording } from '@/features/query/useFilterWording';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { usePalette } from '@/ui/theme/theme';

/** Rules for new events: switched on and off, tried on what is there, removed. */
export function RulesCard() {
  const rules = useRules();
  const palette = usePalette();
  const { clock } = usePreferences();
  const names = useFilterWording();
  const { engine } = useEngine();
  const { say } = useMessages();
  const router = useRouter();
  const act = useDo();

  async function tryOut({ words, steps }: TidyRule) {
    if (!engine) return;
    const filter = { ...EMPTY_FILTER, text: words, textIn: ['title' as const] };
    const ids = await engine.finding.matching(questionOf(filter, Date.now()), null, clock);
    if (!ids.length) return say('No event that is there has that in its title.');
    selection.set(ids);
    putStepsToTry(steps);
    router.navigate('/change');
  }

  return (
    <Card title="Rules for new events">
      {rules.length === 0 ? (
        <Text style={{ color: palette.dim }}>
          None yet. When you change events of one title, you can have the same done to new ones of
          it, whether you type or import them.
        </Text>
      ) : (
        <View role="list" aria-label="Rules for new events">
          {rules.map((rule) => (
            <View
              key={rule.id}
              role="listitem"
              style={[styles.rule, { borderColor: palette.hairline }]}
            >
              <View style={styles.text}>
                <Check
                  label={`Titled ${rule.words}: ${sayRuleSteps(rule.steps, names.wording.hourCycle, names)}`}
                  isOn={rule.isOn}
                  onChange={(isOn) =>
                    void act({ kind: 'keepRule', before: rule, rule: { ...rule, isOn } })
                  }
                />
              </View>
              <Button compact onPress={() => void tryOut(rule)}>
                Try on what is there
              </Button>
              <IconButton
                icon="trash-can-outline"
                accessibilityLabel={`Remove the rule for ${rule.words}`}
                size={20}
                onPress={() => void act({ kind: 'removeRule', id: rule.id })}
              />
            </View>
          ))}
        </View>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  rule: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', borderBottomWidth: 1 },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
});
