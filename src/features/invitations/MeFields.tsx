import { StyleSheet, View } from 'react-native';
import { HelperText } from 'react-native-paper';
import { mailAddress } from '@/core/model/common';
import type { MailParty } from '@/core/model/mail';
import { TextField } from '@/ui/TextField';

export const isReachable = ({ address }: MailParty): boolean =>
  mailAddress.safeParse(address).success;

/** Under which name and address others know the person. */
export function MeFields({ me, onChange }: { me: MailParty; onChange(me: MailParty): void }) {
  const isWrong = me.address !== '' && !isReachable(me);
  return (
    <View style={styles.all}>
      <TextField
        label="Your name"
        value={me.name}
        onChangeText={(name) => onChange({ ...me, name })}
      />
      <TextField
        label="Your mail address"
        value={me.address}
        error={isWrong}
        inputMode="email"
        onChangeText={(address) => onChange({ ...me, address: address.trim() })}
      />
      {isWrong && (
        <HelperText type="error" padding="none">
          A mail address has a name, an @ and a place: ada@office.example
        </HelperText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ all: { gap: 8 } });
