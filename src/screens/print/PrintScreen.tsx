import { useLocalSearchParams } from 'expo-router';
import Head from 'expo-router/head';
import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';
import type { PrintSetup } from '@/core/model/print';
import { usePrintPages, usePrintSetup } from '@/data/printing';
import { HelpMark } from '@/features/help/HelpMark';
import { Fold } from '@/ui/Fold';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import { PagePreviews } from './PagePreviews';
import { PrintOptions } from './PrintOptions';
import { PrintRoot } from './PrintRoot';
import { usePrinted } from './usePrinted';

const sayPages = (n: number) => (n === 1 ? '1 page' : `${n.toLocaleString('en')} pages`);

/** What is seen, found or to be done on paper: its pages as they will be printed, and how. */
export function PrintScreen() {
  const palette = usePalette();
  const isWide = useIsWide();
  const {
    what: kind,
    event,
    q,
  } = useLocalSearchParams<{ what?: string; event?: string; q?: string }>();
  const printed = usePrinted({ kind, event, q });
  const [setup, change] = usePrintSetup(printed.lens, printed.first);
  const { pages, share, problem } = usePrintPages(printed.thing(setup), setup, printed.clock);
  const [isPrinting, setPrinting] = useState(false);
  useEffect(() => {
    if (!isPrinting || !pages) return;
    // The pages are on the paper's root by now; the browser's own dialog does the rest.
    const timer = setTimeout(() => {
      window.print();
      setPrinting(false);
    });
    return () => clearTimeout(timer);
  }, [isPrinting, pages]);
  usePrintKey(() => setPrinting(true));

  const options = (
    <PrintOptions
      setup={setup}
      isOfDays={printed.isOfDays}
      range={printed.range}
      seen={printed.seen}
      onChange={(fields: Partial<PrintSetup>) => change(fields)}
    />
  );
  return (
    <View style={[styles.all, isWide && styles.wide, { backgroundColor: palette.paper }]}>
      <Head>
        <title>Print · Orderly Week</title>
      </Head>
      <View style={isWide ? styles.side : styles.top}>
        <View style={styles.head}>
          <View style={styles.title}>
            <Title level={1}>Print</Title>
            <HelpMark topic="print" about="printing" />
          </View>
          <Button mode="contained" disabled={!pages} onPress={() => setPrinting(true)}>
            Print…
          </Button>
        </View>
        <Text role="status" style={{ color: palette.dim }}>
          {`${printed.name} · ${pages ? sayPages(pages.length) : 'being laid out'}`}
        </Text>
        {share !== null && <ProgressBar progress={share} aria-label="How far the pages are" />}
        {problem !== null && (
          <Text role="alert" style={{ color: palette.brick }}>
            {problem}
          </Text>
        )}
        {isWide ? (
          <ScrollView style={styles.options} contentContainerStyle={styles.inside} tabIndex={0}>
            {options}
          </ScrollView>
        ) : (
          <Fold
            icon="tune-variant"
            name="How"
            said={`${setup.paper}, ${setup.isUpright ? 'upright' : 'across'}`}
          >
            <ScrollView style={styles.folded} contentContainerStyle={styles.inside} tabIndex={0}>
              {options}
            </ScrollView>
          </Fold>
        )}
      </View>
      <PagePreviews pages={pages ?? []} />
      <PrintRoot pages={pages ?? []} setup={setup} isPrinting={isPrinting} />
    </View>
  );
}

/** Ctrl and P print what is laid out here. */
function usePrintKey(print: () => void): void {
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'p') return;
      event.preventDefault();
      print();
    }
    window.addEventListener('keydown', onKeyDown, true);
    return () => window.removeEventListener('keydown', onKeyDown, true);
  }, [print]);
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  wide: { flexDirection: 'row' },
  side: { width: 340, padding: 16, gap: 8, minHeight: 0 },
  top: { padding: 12, gap: 6 },
  title: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  options: { flex: 1, minHeight: 0 },
  folded: { maxHeight: '46vh' } as object,
  inside: { gap: 10, paddingBottom: 24 },
});
