import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { partsOfId } from '@/core/agenda/occurrence';
import type { Found } from '@/core/tidy/checks';
import type { Way } from '@/core/tidy/checks/check';
import type { CheckName } from '@/core/model/checks';
import { CHECK_WORDS, isEventCheck } from '@/core/model/checks';
import { EMPTY_FILTER } from '@/core/model/filter';
import { writeFilter } from '@/core/query/filterAddress';
import { count } from '@/core/time/words';
import { useAskSheet } from '@/data/asked';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { usePreferences } from '@/data/preferences';
import { selection } from '@/data/selection';
import { useCheckCounts, useFindings, useLooking } from '@/data/tidying';
import type { NamedMend } from '@/engine/bulk/bulk';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';
import { AcceptAllDialog } from './AcceptAllDialog';
import { DoublesDialog } from './DoublesDialog';

interface RowProps {
  finding: Found;
  onMend(way: Way, isRule: boolean): void;
  onLeave(): void;
  onShow(): void;
}

/** Ways that are offered before one asks for more. */
const OFFERED = 3;

/** One finding: why it is one, the ways to mend it, and to leave it as it is. */
function FindingRow({ finding, onMend, onLeave, onShow }: RowProps) {
  const palette = usePalette();
  const { title, reason, ways, ids } = finding;
  const [isOpen, setOpen] = useState(false);
  const offered = isOpen ? ways : ways.slice(0, OFFERED);
  const ruled = ways.find(({ rule }) => rule !== undefined);
  return (
    <View
      role="listitem"
      aria-label={title}
      style={[styles.finding, { borderColor: palette.hairline }]}
    >
      <Text style={styles.title}>{title}</Text>
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        {reason}
      </Text>
      <View style={styles.ways}>
        {offered.map((way, i) => (
          <Button
            key={way.how}
            compact
            mode={i === 0 ? 'contained-tonal' : 'text'}
            onPress={() => onMend(way, false)}
          >
            {way.label}
          </Button>
        ))}
        {ruled && (
          <Button
            compact
            accessibilityLabel={`${ruled.label}, and new ones too`}
            onPress={() => onMend(ruled, true)}
          >
            New ones too
          </Button>
        )}
        {offered.length < ways.length && (
          <Button compact onPress={() => setOpen(true)}>
            Other ways
          </Button>
        )}
        {ids.length > 0 && (
          <Button compact onPress={onShow}>
            Show
          </Button>
        )}
        <Button compact onPress={onLeave}>
          Leave it
        </Button>
      </View>
    </View>
  );
}

/** What one check found, to be mended one by one or all at once, changed, or left as it is. */
export function FindingsCard({ check }: { check: CheckName }) {
  const { name, says } = CHECK_WORDS[check];
  const { data: findings } = useFindings(check);
  const { data: counts } = useCheckCounts();
  const { engine } = useEngine();
  const { zone } = usePreferences();
  const looking = useLooking();
  const router = useRouter();
  const askSheet = useAskSheet();
  const act = useDo();
  const [compared, setCompared] = useState<readonly string[] | null>(null);
  const [accepted, setAccepted] = useState<readonly NamedMend[] | null>(null);
  const of = counts?.find((one) => one.check === check);
  const total = of?.count ?? 0;
  const shared = sharedWay(findings ?? []);

  function mend(finding: Found, { how, rule }: Way, isRule: boolean) {
    if (check === 'doubles') return setCompared(finding.ids);
    // Moving is chosen date by date, where there is more to see.
    if (how === 'sweep') return router.setParams({ series: partsOfId(finding.ids[0]!).eventId });
    const { key, ids } = finding;
    const mends = [{ check, key, ids, how }];
    void act({ kind: 'mendFindings', mends, zone, rule: isRule ? rule : undefined });
  }

  async function previewAll() {
    if (!engine) return;
    const all = await engine.tidying.everyFinding(check, looking());
    setAccepted(
      all.flatMap(({ key, ids, title, ways: [way] }) =>
        way && way.how !== 'sweep'
          ? [{ check, key, ids, how: way.how, title, label: way.label }]
          : [],
      ),
    );
  }

  async function changeAll() {
    if (!engine) return;
    const all = await engine.tidying.everyFinding(check, looking());
    selection.set(all.flatMap(({ ids }) => ids));
    router.navigate('/change');
  }

  return (
    <Card title={name}>
      <Text>{`Looks for ${says}.`}</Text>
      {findings?.length === 0 && <Text role="status">Nothing is left of it.</Text>}
      {findings && findings.length > 0 && (
        <View style={styles.ways}>
          {shared && (
            <Button mode="contained" onPress={() => void previewAll()}>
              {`Accept all ${total.toLocaleString('en')} …`}
            </Button>
          )}
          {findings.some(({ ids }) => ids.length > 0) && (
            <Button mode="outlined" onPress={() => void changeAll()}>
              Change them …
            </Button>
          )}
          {isEventCheck(check) && (
            <Button
              onPress={() =>
                router.navigate({
                  pathname: '/find',
                  params: { q: writeFilter({ ...EMPTY_FILTER, checks: [check] }) },
                })
              }
            >
              Find them
            </Button>
          )}
        </View>
      )}
      <View role="list" aria-label={`Found: ${name}`}>
        {findings?.map((finding) => (
          <FindingRow
            key={finding.key}
            finding={finding}
            onMend={(way, isRule) => mend(finding, way, isRule)}
            onLeave={() => {
              const { key, title } = finding;
              void act({ kind: 'leaveFindings', found: [{ check, key, title }] });
            }}
            onShow={() => askSheet({ kind: 'event', id: finding.ids[0]!, uncovers: true })}
          />
        ))}
      </View>
      {findings && total > findings.length && (
        <Text>{`${(total - findings.length).toLocaleString('en')} more are not listed.`}</Text>
      )}
      {(of?.left ?? 0) > 0 && (
        <Button onPress={() => void act({ kind: 'showLeft', check })}>
          {`Show ${count(of!.left, 'finding')} again that you left`}
        </Button>
      )}
      {accepted && (
        <AcceptAllDialog name={name} mends={accepted} onClose={() => setAccepted(null)} />
      )}
      {compared && <DoublesDialog ids={compared} onClose={() => setCompared(null)} />}
    </Card>
  );
}

/** Whether all findings can be mended by what is proposed first. */
const sharedWay = (findings: readonly Found[]) => findings.some(({ ways }) => ways.length > 0);

const styles = StyleSheet.create({
  finding: { borderBottomWidth: 1, paddingVertical: 8, gap: 2 },
  title: { fontWeight: '600' },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, alignItems: 'center' },
});
