import Head from 'expo-router/head';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Title } from './Title';
import { usePalette } from './theme/theme';

interface Props {
  title: string;
  /** What stands right behind the title. */
  mark?: ReactNode;
  /** Buttons at the other end. */
  actions?: ReactNode;
  /** Whether it uses a wide screen for more than a column to read. */
  isBroad?: boolean;
  /** Address of a picture to lie behind all of it. */
  picture?: string | null;
  children: ReactNode;
}

/** A screen that scrolls: its title, then its parts in a column of readable width. */
export function Page({ title, mark, actions, isBroad = false, picture = null, children }: Props) {
  const { paper } = usePalette();
  const page = (
    <ScrollView
      style={!picture && { backgroundColor: paper }}
      contentContainerStyle={[styles.content, isBroad && styles.broad]}
    >
      <Head>
        <title>{`${title} · Orderly Week`}</title>
      </Head>
      <View style={[styles.head, picture !== null && { ...styles.plate, backgroundColor: paper }]}>
        {mark ? (
          <View style={styles.title}>
            <Title level={1}>{title}</Title>
            {mark}
          </View>
        ) : (
          <Title level={1}>{title}</Title>
        )}
        {actions && <View style={styles.actions}>{actions}</View>}
      </View>
      {children}
    </ScrollView>
  );
  return picture === null ? (
    page
  ) : (
    <View style={styles.pictured}>
      <img src={picture} alt="" className="picture-behind" />
      {page}
    </View>
  );
}

const styles = StyleSheet.create({
  content: { padding: 16, gap: 16, maxWidth: 760, width: '100%', paddingBottom: 96 },
  pictured: { flex: 1, minHeight: 0 },
  // Words keep their contrast on any picture.
  plate: { borderRadius: 10, paddingHorizontal: 14, paddingVertical: 6, alignSelf: 'flex-start' },
  broad: { maxWidth: 1160 },
  // Narrower than what stands in it: that is wrapped then.
  actions: { flexShrink: 1, maxWidth: '100%' },
  title: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 12,
    flexWrap: 'wrap',
  },
});
