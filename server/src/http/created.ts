import { API } from '@humble/core/contract';
import type { Response } from 'express';
import { storedJson, type StoredShot } from '../services/shotService';
import { Json } from './endpoint';

/** The answer to what put a shot in: the shot, with its address. @param further members of the answer */
export function created(response: Response, stored: StoredShot, further: object = {}): Json {
  response.location(`${API}/shots/${stored.id}`);
  return new Json(storedJson({ ...further, ...stored }));
}
