import Head from 'expo-router/head';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Title } from './Title';
import { usePalette } from './theme/theme';

interface Props {
  title: string;
  /** Buttons beside the title. */
  actions?: ReactNode;
  /** Whether it uses a wide screen for more than a column to read. */
  isBroad?: boolean;
  children: ReactNode;
}

/** A screen that scrolls: its title, then its parts in a column of readable width. */
export function Page({ title, actions, isBroad = false, children }: Props) {
  const { paper } = usePalette();
  return (
    <ScrollView
      style={{ backgroundColor: paper }}
      contentContainerStyle={[styles.content, isBroad && styles.broad]}
    >
      <Head>
        <title>{`${title} · Orderly Week`}</title>
      </Head>
      <View style={styles.head}>
        <Title level={1}>{title}</Title>
        {actions}
      </View>
      {children}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  content: { padding: 16, gap: 16, maxWidth: 760, width: '100%', paddingBottom: 96 },
  broad: { maxWidth: 1160 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 12,
    flexWrap: 'wrap',
  },
});
