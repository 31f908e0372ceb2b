import { useRouter } from 'expo-router';
import { Button, Text } from 'react-native-paper';
import { Page } from '@/ui/Page';

export function NotFoundScreen() {
  const router = useRouter();
  return (
    <Page title="No such page">
      <Text>This address leads nowhere in the app.</Text>
      <Button mode="contained" onPress={() => router.replace('/')}>
        Go to the plan
      </Button>
    </Page>
  );
}
