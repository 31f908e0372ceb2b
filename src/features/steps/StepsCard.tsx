import { lazy, Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import { STEP_NAMES } from '@/core/bulk/sayBulk';
import type { BulkStep, StepKind } from '@/core/model/bulkSteps';
import { dayOfWall } from '@/core/time/civil';
import { useWallNow } from '@/data/now';
import { Card } from '@/ui/Card';
import { Dialog } from '@/ui/Dialog';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';
import { newStep, STEP_GROUPS } from './newStep';
import type { StepSetting } from './StepEditor';

// It comes with the first change that is chosen: two screens share it, and the sheet does without.
const StepEditor = lazy(() => import('./StepEditor'));

interface Props {
  steps: readonly BulkStep[];
  setting: StepSetting;
  /** What can be done; without it, everything. */
  kinds?: ReadonlySet<StepKind>;
  /** Whether it begins with the choice of a first change, over the page. */
  isChoiceOpen?: boolean;
  onSteps(steps: BulkStep[]): void;
}

/** The groups of steps, with those that are offered. */
const offeredGroups = (offered: ReadonlySet<StepKind> | undefined) =>
  STEP_GROUPS.flatMap(({ name, kinds }) => {
    const own = kinds.filter((kind) => offered?.has(kind) ?? true);
    return own.length ? [{ name, kinds: own }] : [];
  });

/** What is to be done to each: one thing after the other. */
export function StepsCard({ steps, setting, kinds: offered, isChoiceOpen = true, onSteps }: Props) {
  const palette = usePalette();
  const [isAdding, setAdding] = useState(isChoiceOpen && steps.length === 0);
  const today = dayOfWall(useWallNow(setting.preferences.clock));
  const calendarId = setting.calendars.find(({ kind }) => kind === 'own')?.id ?? '';
  const put = (at: number, step: BulkStep | null) =>
    onSteps(steps.flatMap((other, i) => (i === at ? (step ? [step] : []) : [other])));
  return (
    <Card title="Changes">
      {steps.map((step, i) => (
        // Steps follow each other and have no names of their own.
        <View
          key={`${i} ${step.kind}`}
          role="group"
          aria-label={STEP_NAMES[step.kind]}
          style={[styles.step, { borderColor: palette.hairline }]}
        >
          <View style={styles.head}>
            <Text style={styles.name}>{STEP_NAMES[step.kind]}</Text>
            <IconButton
              icon="close"
              accessibilityLabel={`Take away: ${STEP_NAMES[step.kind]}`}
              size={20}
              style={styles.icon}
              onPress={() => put(i, null)}
            />
          </View>
          <Suspense>
            <StepEditor step={step} setting={setting} onChange={(next) => put(i, next)} />
          </Suspense>
        </View>
      ))}
      <View style={styles.head}>
        <Button
          icon="plus"
          mode={steps.length ? 'text' : 'outlined'}
          onPress={() => setAdding(true)}
        >
          {steps.length ? 'Another change' : 'Choose a change'}
        </Button>
      </View>
      {isAdding && (
        <Dialog title="Change" onClose={() => setAdding(false)}>
          <View style={styles.kinds}>
            {offeredGroups(offered).map(({ name, kinds }) => (
              <View key={name} role="group" aria-label={name} style={styles.group}>
                <Text variant="bodySmall" style={{ color: palette.dim }}>
                  {name}
                </Text>
                <View style={styles.row}>
                  {kinds.map((kind) => (
                    <ToggleChip
                      key={kind}
                      label={STEP_NAMES[kind]}
                      isOn={steps.some((step) => step.kind === kind)}
                      onPress={() => {
                        onSteps([...steps, newStep(kind, { today, calendarId })]);
                        setAdding(false);
                      }}
                    />
                  ))}
                </View>
              </View>
            ))}
          </View>
        </Dialog>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  step: { borderBottomWidth: 1, paddingBottom: 10, gap: 4 },
  head: { flexDirection: 'row', alignItems: 'center' },
  name: { flex: 1, fontWeight: '600' },
  icon: { margin: 0, width: 40, height: 40 },
  kinds: { gap: 10, width: 'min(84vw, 480px)' } as object,
  group: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
