import { useState } from 'react';
import { View } from 'react-native';
import { Button } from 'react-native-paper';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useMendPreview } from '@/data/tidying';
import type { NamedMend } from '@/engine/bulk/bulk';
import { PreviewLater } from '@/features/steps/later';
import { Dialog } from '@/ui/Dialog';

/** Shows what accepting all findings does, before and after, with the clashes that it makes; any can be left out. */
export function AcceptAllDialog({
  name,
  mends,
  onClose,
}: {
  name: string;
  mends: readonly NamedMend[];
  onClose(): void;
}) {
  const { zone } = usePreferences();
  const act = useDo();
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  const { data: preview, isPlaceholderData } = useMendPreview(mends, [...leftOut]);
  const accepted = mends.filter(({ key }) => !leftOut.has(key));

  function leaveOut(key: string, isOut: boolean) {
    const next = new Set(leftOut);
    if (isOut) next.add(key);
    else next.delete(key);
    setLeftOut(next);
  }

  async function accept() {
    const chosen = accepted.map(({ check, key, ids, how }) => ({ check, key, ids, how }));
    if (await act({ kind: 'mendFindings', mends: chosen, zone })) onClose();
  }

  return (
    <Dialog
      title={name}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button
            mode="contained"
            disabled={!accepted.length || !preview || isPlaceholderData}
            onPress={() => void accept()}
          >
            {`Accept ${accepted.length.toLocaleString('en')}`}
          </Button>
        </>
      }
    >
      <View style={{ width: 'min(86vw, 620px)' } as object}>
        {preview && <PreviewLater preview={preview} leftOut={leftOut} onLeaveOut={leaveOut} />}
      </View>
    </Dialog>
  );
}
