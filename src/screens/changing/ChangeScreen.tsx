import { useRouter } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, HelperText, Text } from 'react-native-paper';
import type { BulkDeed } from '@/core/bulk/deeds';
import type { BulkStep } from '@/core/model/bulkSteps';
import { plain } from '@/core/tidy/likeness';
import { asPhrase } from '@/core/query/words';
import { ruledSteps } from '@/core/tidy/rules';
import { count } from '@/core/time/words';
import type { ManyRequest } from '@/data/bulk';
import { useBulkPreview } from '@/data/bulk';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import { selection, useSelection } from '@/data/selection';
import { useStepsToTry } from '@/data/stepsToTry';
import type { BulkPreview } from '@/engine/bulk/bulk';
import { isReady } from '@/features/steps/newStep';
import { PreviewLater } from '@/features/steps/later';
import { StepsCard } from '@/features/steps/StepsCard';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { Columns } from '@/ui/Columns';
import { NumberField } from '@/ui/NumberField';
import { Page } from '@/ui/Page';
import { describeError } from '@/core/userError';
import type { Scopes } from './ScopesCard';
import { ScopesCard } from './ScopesCard';

type Way = 'change' | BulkDeed['kind'];

const WAYS: { value: Way; label: string; verb: string }[] = [
  { value: 'change', label: 'Change', verb: 'Change' },
  { value: 'copy', label: 'Copy', verb: 'Copy' },
  { value: 'join', label: 'Join into one', verb: 'Join' },
  { value: 'makeSeries', label: 'Make a series', verb: 'Make a series of' },
  { value: 'makeSingles', label: 'Make single events', verb: 'Make single events of' },
  { value: 'skip', label: 'Skip', verb: 'Skip' },
  { value: 'remove', label: 'Remove', verb: 'Remove' },
];

const SCOPES: Scopes = { scope: 'this', scopes: {}, fate: 'keep' };

/** What was chosen to be done, and to what; null while nothing is. */
function useRequest(clock: string) {
  const ids = useSelection();
  const [way, setWay] = useState<Way>('change');
  const toTry = useStepsToTry();
  const [steps, setSteps] = useState<BulkStep[]>([...toTry]);
  const [copy, setCopy] = useState<{ days: number; calendarId: string | null }>({
    days: 7,
    calendarId: null,
  });
  const [scopes, setScopes] = useState(SCOPES);
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  const targets = { ids: [...ids], ...scopes, leftOut: [...leftOut], zone: clock };
  const ready = steps.filter(isReady);
  const deed: BulkDeed | null =
    way === 'change' ? null : way === 'copy' ? { kind: way, ...copy } : { kind: way };
  const asked: ManyRequest | null = deed
    ? { kind: 'doToMany', request: { ...targets, deed } }
    : ready.length
      ? { kind: 'changeMany', request: { ...targets, steps: ready } }
      : null;
  return {
    ...{ ids, way, setWay, steps, setSteps, copy, setCopy, scopes, setScopes, leftOut, asked },
    leaveOut(id: string, isOut: boolean) {
      const next = new Set(leftOut);
      if (isOut) next.add(id);
      else next.delete(id);
      setLeftOut(next);
    },
  };
}

/** The title that all selected events have, as people mean it; null when they have several. */
function sharedTitle({ lines, total }: BulkPreview): string | null {
  const [first] = lines;
  if (!first || total > lines.length || !plain(first.title)) return null;
  return lines.every(({ title }) => plain(title) === plain(first.title))
    ? first.title.trim()
    : null;
}

/** Changes what is selected: first all of it is looked at, then it is done as one change. */
export function ChangeScreen() {
  const preferences = usePreferences();
  const calendars = useCalendars();
  const categories = useCategories();
  const router = useRouter();
  const act = useDo();
  const request = useRequest(preferences.clock);
  const { ids, way, copy, asked } = request;
  const deferred = useDeferredValue(asked);
  const { data: preview, error, isPlaceholderData } = useBulkPreview(deferred);
  const [isRule, setRule] = useState(false);
  const isLooking = deferred !== asked || isPlaceholderData;
  const changed = asked && preview && !error ? preview.changed : 0;

  // By the browser's own step: the router waits for its step a tenth of a second and then writes over
  // the entry that it stands at, wherever that is.
  const leave = () => (router.canGoBack() ? window.history.back() : router.navigate('/'));

  const shared = way === 'change' && preview ? sharedTitle(preview) : null;
  const steps = ruledSteps(request.steps);
  const canRule = shared !== null && steps.length > 0;

  async function carryOut() {
    if (!asked) return;
    const rule = canRule && isRule ? { words: asPhrase(shared), steps } : undefined;
    if (!(await act(asked.kind === 'changeMany' ? { ...asked, rule } : asked))) return;
    selection.clear();
    leave();
  }

  if (!ids.size)
    return (
      <Page title="Change many">
        <Text>
          Nothing is selected. Select events on the sheet, in the table or among what you found:
          with Ctrl or Shift and a press, or by “Select” in an event’s menu.
        </Text>
        <Button mode="outlined" onPress={leave}>
          Back
        </Button>
      </Page>
    );

  const verb = WAYS.find(({ value }) => value === way)!.verb;
  const main = (
    <View style={styles.column}>
      <Card>
        <Choice<Way>
          name="What to do"
          isNameHidden
          value={way}
          options={WAYS}
          onChoose={request.setWay}
        />
        {way === 'copy' && (
          <>
            <NumberField
              label="Days on"
              value={copy.days}
              min={-3660}
              max={3660}
              onChange={(days) => request.setCopy({ ...copy, days })}
            />
            <Check
              label="Each on its own calendar"
              isOn={copy.calendarId === null}
              onChange={(isOwn) =>
                request.setCopy({
                  ...copy,
                  calendarId: isOwn ? null : (calendars.find((c) => c.kind === 'own')?.id ?? null),
                })
              }
            />
            {copy.calendarId !== null && (
              <CalendarChoice
                calendars={calendars.filter(({ kind }) => kind === 'own')}
                chosenId={copy.calendarId}
                onChoose={(calendarId) => request.setCopy({ ...copy, calendarId })}
              />
            )}
          </>
        )}
      </Card>
      {way === 'change' && (
        <StepsCard
          steps={request.steps}
          setting={{ preferences, calendars, categories }}
          onSteps={request.setSteps}
        />
      )}
      {preview && preview.series.length > 0 && (
        <ScopesCard series={preview.series} value={request.scopes} onChange={request.setScopes} />
      )}
      {canRule && (
        <Check
          label={`Do this to new events titled “${shared}” too`}
          isOn={isRule}
          onChange={setRule}
        />
      )}
      {error && (
        <HelperText type="error" role="alert" padding="none">
          {describeError(error)}
        </HelperText>
      )}
      <View style={styles.buttons}>
        <Button onPress={leave}>Back</Button>
        <Button
          mode="contained"
          disabled={changed === 0 || isLooking}
          onPress={() => void carryOut()}
        >
          {changed ? `${verb} ${count(changed, 'event')}` : verb}
        </Button>
      </View>
    </View>
  );
  const side = asked && preview && !error && (
    <PreviewLater preview={preview} leftOut={request.leftOut} onLeaveOut={request.leaveOut} />
  );
  return (
    <Page title={`Change ${count(ids.size, 'event')}`} isBroad>
      <Columns main={main} side={side} />
    </Page>
  );
}

const styles = StyleSheet.create({
  column: { gap: 16 },
  buttons: { flexDirection: 'row', justifyContent: 'flex-end', gap: 8 },
});
