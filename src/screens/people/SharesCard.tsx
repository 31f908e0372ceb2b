import { View } from 'react-native';
import { useShares } from '@/data/sharing';
import { ShareLine } from '@/features/sharing/ShareLine';
import { Card } from '@/ui/Card';

/** Everything that is shared, whomever with. */
export function SharesCard() {
  const shares = useShares();
  if (!shares.length) return null;
  return (
    <Card title="What I share">
      <View role="list" aria-label="What I share">
        {shares.map((share) => (
          <ShareLine key={share.id} share={share} hasName />
        ))}
      </View>
    </Card>
  );
}
