import type { AnswerOf } from '@humble/core/contract';
import { addressOf, API, ROUTES } from '@humble/core/routes';
import { pairingWords as words } from '../words/pairing';
import { Refusal } from '../ui/refusal';

export type Pairing = AnswerOf<'readPairing'>;
export type Proof = { readonly code: string } | { readonly passphrase: string };

async function detailOf(response: Response): Promise<string> {
  const problem = (await response.json().catch(() => null)) as { readonly detail?: string } | null;
  return problem?.detail ?? words.noServer;
}

const ask = async (address: string, options: RequestInit = {}): Promise<Response> => {
  const response = await fetch(API + address, options).catch(() => {
    throw new Refusal(words.noServer);
  });
  if (!response.ok) throw new Refusal(await detailOf(response));
  return response;
};

/** How a phone finds this server, with a code that pairs one. @throws Refusal */
export const readPairing = async (): Promise<Pairing> =>
  (await (await ask(addressOf('readPairing'))).json()) as Pairing;

/** @throws Refusal with a sentence where the code or the passphrase is not the right one */
export async function pairDevice(proof: Proof, name: string): Promise<void> {
  await ask(addressOf('pairDevice'), {
    method: ROUTES.pairDevice.method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ proof, name }),
  });
}

export const endDevice = async (id: string): Promise<void> =>
  void (await ask(addressOf('endDevice', { id }), { method: ROUTES.endDevice.method }));
