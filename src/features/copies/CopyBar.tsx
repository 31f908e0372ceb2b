import { useState } from 'react';
import { useRouter } from 'expo-router';
import { Button } from 'react-native-paper';
import { DAY } from '@/core/time/civil';
import { count } from '@/core/time/words';
import { useEngine } from '@/data/engineContext';
import { useNow } from '@/data/now';
import { useIsEmpty } from '@/data/queries';
import { useKeepingCopies, useSafeCopies, withoutCopySince } from '@/data/safeCopies';
import { AskBar } from '@/ui/AskBar';

/** Days after which somebody without copies is reminded of them. */
const OLD = 14;

/** Where no copies are kept by themselves: a word when the last is old, with the way to one. */
export function CopyBar() {
  useKeepingCopies();
  const { store } = useEngine();
  const router = useRouter();
  const isEmpty = useIsEmpty();
  const now = useNow();
  const { folder, last } = useSafeCopies();
  const [isLeft, setLeft] = useState(false);
  if (store !== 'own' || folder || isLeft || isEmpty !== false) return null;
  const age = Math.floor((now - withoutCopySince(last, now)) / DAY);
  if (age < OLD) return null;
  return (
    <AskBar
      name="Your last copy is old"
      icon="database-outline"
      text={
        last
          ? `Your last copy of everything is ${count(age, 'day')} old.`
          : `For ${count(age, 'day')} there has been no copy of what you put in.`
      }
      more={0}
    >
      <Button compact mode="contained" onPress={() => router.navigate('/calendars')}>
        Download one
      </Button>
      <Button compact onPress={() => setLeft(true)}>
        Later
      </Button>
    </AskBar>
  );
}
