import { Button, Text } from 'react-native-paper';
import { count as sayCount } from '@/core/time/words';
import { Dialog } from '@/ui/Dialog';

interface Props {
  /** How many events have the reminders of the calendar. */
  count: number;
  name: string;
  onAnswer(isForNewOnly: boolean): void;
  onBack(): void;
}

/** Asks whether other reminders of a calendar are meant for the events that are there, too. */
export function FollowersQuestion({ count, name, onAnswer, onBack }: Props) {
  return (
    <Dialog
      title="For the events that are there, too?"
      onClose={onBack}
      footer={
        <>
          <Button onPress={onBack}>Back</Button>
          <Button onPress={() => onAnswer(true)}>Only for new ones</Button>
          <Button mode="contained" onPress={() => onAnswer(false)}>
            For all of them
          </Button>
        </>
      }
    >
      <Text>
        {`${sayCount(count, 'event')} on ${name} ${count === 1 ? 'has' : 'have'} the reminders of the calendar. They can get the new ones, or keep those that they have now as their own.`}
      </Text>
    </Dialog>
  );
}
