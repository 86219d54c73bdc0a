import { useCallback, useEffect, useState } from 'react';
import { Image, View } from 'react-native';
import { endDevice, type Pairing, readPairing } from '../../persistence/pairing';
import { errorSentence } from '../../store/errorSentence';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { pairingWords as words } from '../../words/pairing';

const CODE_PX = 260;

const dataOf = (svg: string): string => `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`;

const timeOf = (iso: string): string =>
  new Date(iso).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });

/** A code for a phone, and the devices that are paired. */
export function PairDialog({ onClose }: { readonly onClose: () => void }) {
  const [pairing, setPairing] = useState<Pairing | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const load = useCallback(() => {
    readPairing().then(setPairing, (error: unknown) => setProblem(errorSentence(error)));
  }, []);
  useEffect(load, [load]);
  const end = (id: string): void => {
    endDevice(id).then(load, (error: unknown) => setProblem(errorSentence(error)));
  };
  return (
    <Dialog title={words.title} isOpen onClose={onClose}>
      {problem && (
        <Words tone="plum" role="alert">
          {problem}
        </Words>
      )}
      {!pairing && !problem && <Words tone="soft">{words.gettingCode}</Words>}
      {pairing && !pairing.link && <Words>{words.notListening}</Words>}
      {pairing?.link && pairing.qr && (
        <>
          <Words>{words.help}</Words>
          <View className="items-center rounded-large bg-white p-2">
            <Image
              source={{ uri: dataOf(pairing.qr) }}
              style={{ width: CODE_PX, height: CODE_PX }}
              aria-label={words.code}
              role="img"
            />
          </View>
          <Words tone="soft" selectable>
            {words.orType(`${pairing.address}/pair`)}
          </Words>
          <Words tone="soft">{words.codeLasts}</Words>
          <Button label={words.freshCode} onPress={load} />
        </>
      )}
      {pairing && pairing.devices.length > 0 && (
        <View role="list" aria-label={words.devices}>
          <Words strong>{words.devices}</Words>
          {pairing.devices.map(({ id, name, seen }) => (
            <View key={id} role="listitem" className="flex-row items-center justify-between gap-2">
              <Words className="min-w-0 shrink" numberOfLines={1}>
                {`${name}, ${words.lastSeen(timeOf(seen))}`}
              </Words>
              <Button label={words.end(name)} shows={words.endShort} kind="plum" onPress={() => end(id)} />
            </View>
          ))}
        </View>
      )}
    </Dialog>
  );
}
