import { Router } from 'express';
import { serve } from '../http/endpoint';
import type { EasingService } from '../services/easingService';

export function easingRoutes(service: EasingService): Router {
  const router = Router();
  serve(router, 'listEasings', async () => ({ easings: await service.list() }));
  serve(router, 'keepEasing', ({ body }) => service.keep(body.name, body.easing));
  serve(router, 'removeEasing', ({ params }) => service.remove(params.id));
  return router;
}
