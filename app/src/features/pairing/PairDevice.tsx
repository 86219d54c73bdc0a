import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { pairDevice, type Proof } from '../../persistence/pairing';
import { errorSentence } from '../../store/errorSentence';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';
import { Words } from '../../ui/Words';
import { pairingWords as words } from '../../words/pairing';

const TABLET_PX = 700;

/** What a device is called where it is listed. */
const ownName = (): string => {
  const isFinger = matchMedia('(pointer: coarse)').matches;
  if (!isFinger) return words.computer;
  return Math.min(screen.width, screen.height) >= TABLET_PX ? words.tablet : words.phone;
};

/** Pairs this device with the computer: by the code that it was led here with, else by the passphrase. */
export function PairDevice({ code, onPaired }: { readonly code: string; readonly onPaired: () => void }) {
  const [isBusy, setBusy] = useState(code !== '');
  const [problem, setProblem] = useState<string | null>(null);
  const [passphrase, setPassphrase] = useState('');
  const pair = (proof: Proof): void => {
    setProblem(null);
    setBusy(true);
    pairDevice(proof, ownName()).then(onPaired, (error: unknown) => {
      setProblem(errorSentence(error));
      setBusy(false);
    });
  };
  // The code counts once: it is used when the page comes, and not again when something of the page changes.
  // eslint-disable-next-line react-hooks/exhaustive-deps, react-hooks/set-state-in-effect
  useEffect(() => void (code !== '' && pair({ code })), []);
  const type = (): void => pair({ passphrase: passphrase.trim() });
  return (
    <View className="flex-1 items-center justify-center px-5">
      <View className="w-full max-w-[420px] gap-3 rounded-large border border-line bg-card p-5">
        <Words role="heading" size="title" strong>
          {words.title}
        </Words>
        {problem && (
          <Words tone="plum" role="alert">
            {problem}
          </Words>
        )}
        {isBusy ? (
          <Words tone="soft" role="status">
            {words.pairing}
          </Words>
        ) : (
          <>
            <TextField
              label={words.passphrase}
              value={passphrase}
              onChange={setPassphrase}
              onSubmit={type}
              autoFocus
            />
            <Words tone="soft">{words.passphraseHelp}</Words>
            <Button label={words.pair} kind="brass" disabled={passphrase.trim() === ''} onPress={type} />
          </>
        )}
      </View>
    </View>
  );
}
