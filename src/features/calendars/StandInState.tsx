import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { useMessages } from '@/data/messages';

/** Addresses of the feeds of made-up offices that this app's own server has. */
export const STAND_INS = [
  { name: 'Quay closures', address: '/feeds/quay-closures.ics', isFacts: false },
  { name: 'Ferry timetable', address: '/feeds/ferry-timetable.ics', isFacts: false },
  { name: 'Tides and weather', address: '/feeds/saltmarsh-days.ics', isFacts: true },
] as const;

const STATES = [
  { state: 'changed', label: 'Let it change' },
  { state: 'away', label: 'Take it off the network' },
  { state: 'first', label: 'As at first' },
] as const;

/** What can be done to a stand-in, to see what following one is like. Nothing for a real feed. */
export function StandInState({ address }: { address: string }) {
  const { say, complain } = useMessages();
  const [, name, copy] = /^\/feeds\/([\w-]+)\.ics(?:\?(.*))?$/.exec(address) ?? [];
  if (!name) return null;

  async function become(state: string) {
    const answer = await fetch(`/feeds/${name}/state?is=${state}${copy ? `&${copy}` : ''}`, {
      method: 'POST',
      headers: { 'X-Orderly-Week': 'stand-in' },
    }).catch(() => null);
    if (answer?.ok) say('Done. Look again to see it here.');
    else complain('The stand-in’s server does not answer.');
  }

  return (
    <View style={styles.part}>
      <Text variant="bodySmall">
        This office is made up, and ships with the app. You can play its part:
      </Text>
      <View style={styles.row}>
        {STATES.map(({ state, label }) => (
          <Button key={state} compact mode="outlined" onPress={() => void become(state)}>
            {label}
          </Button>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
