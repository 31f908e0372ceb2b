import { useState } from 'react';
import { HelperText } from 'react-native-paper';
import { mailAddress, phoneNumber } from '@/core/model/common';
import { TextField } from '@/ui/TextField';

interface Props {
  kind: 'mail' | 'phone';
  value: string;
  onKeep(value: string): void;
}

const KINDS = {
  mail: {
    label: 'Mails go to',
    schema: mailAddress,
    inputMode: 'email',
    problem: 'This is no mail address, for example office@quay.example.',
  },
  phone: {
    label: 'Text messages go to',
    schema: phoneNumber,
    inputMode: 'tel',
    problem: 'This is no phone number, for example +44 1632 960 018.',
  },
} as const;

/** An address, kept when the field is left; what is none stays as it was typed, and is told. */
export function AddressField({ kind, value, onKeep }: Props) {
  const { label, schema, inputMode, problem } = KINDS[kind];
  const [typed, setTyped] = useState<string | null>(null);
  const text = (typed ?? value).trim();
  const isGood = text === '' || schema.safeParse(text).success;
  function take() {
    if (typed === null || !isGood) return;
    setTyped(null);
    if (text !== value) onKeep(text);
  }
  return (
    <>
      <TextField
        label={label}
        value={typed ?? value}
        inputMode={inputMode}
        error={!isGood}
        onChangeText={setTyped}
        onBlur={take}
        onSubmitEditing={take}
      />
      {!isGood && (
        <HelperText type="error" role="alert" padding="none">
          {problem}
        </HelperText>
      )}
    </>
  );
}
