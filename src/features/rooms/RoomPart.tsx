import { View } from 'react-native';
import { Button } from 'react-native-paper';
import { useRooms } from '@/data/rooms';
import { TextField } from '@/ui/TextField';

interface Props {
  room: string;
  onChange(room: string): void;
}

/** Where an event takes place online: an address, or a room given by a press. */
export function RoomPart({ room, onChange }: Props) {
  const rooms = useRooms();
  const give = async () => {
    const given = await rooms.give();
    if (given) onChange(given);
  };
  return (
    <View>
      <TextField label="Room link" value={room} onChangeText={onChange} inputMode="url" />
      {room === '' && (
        <Button
          compact
          icon="video-outline"
          style={{ alignSelf: 'flex-start' }}
          onPress={() => void give()}
        >
          Give it a room
        </Button>
      )}
    </View>
  );
}
