import { seePicture } from '../pictures/seePicture';
import { answerTasks } from './answerTasks';
import type { PictureTask } from './pictureTasks';

answerTasks(({ bytes }: PictureTask) => seePicture(Buffer.from(bytes)));
