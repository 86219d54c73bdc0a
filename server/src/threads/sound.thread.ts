import { seeSound } from '../sounds/seeSound';
import { answerTasks } from './answerTasks';

answerTasks(({ bytes }: { readonly bytes: Uint8Array }) => seeSound(Buffer.from(bytes)));
