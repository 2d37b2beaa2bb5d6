import { existsSync } from 'node:fs';
import { extname, join } from 'node:path';
import express, { Router, type RequestHandler } from 'express';

const encodings = [
  ['br', '.br'],
  ['gzip', '.gz'],
] as const;

/** Sends the compressed copy that the build left beside an asset, where the browser takes it. */
const precompressed =
  (folder: string): RequestHandler =>
  (request, response, next) => {
    const path = join(folder, request.path);
    for (const [encoding, ending] of encodings) {
      if (!request.acceptsEncodings(encoding) || !existsSync(path + ending)) continue;
      response.setHeader('Content-Encoding', encoding);
      response.setHeader('Vary', 'Accept-Encoding');
      response.type(extname(path));
      request.url += ending;
      break;
    }
    next();
  };

/** The built pages: hashed assets for a year, everything else asked for anew, unknown addresses answered by the application. */
export function pages(root: string): Router {
  const router = Router();
  const assets = join(root, 'assets');
  const setHeaders = (response: { setHeader: (name: string, value: string) => void }) => {
    response.setHeader('Cache-Control', 'no-cache');
  };
  router.use(
    '/assets',
    precompressed(assets),
    express.static(assets, {
      immutable: true,
      maxAge: '1y',
      fallthrough: false,
    }),
  );
  router.use(express.static(root, { index: false, setHeaders }));
  router.get('/{*path}', (_request, response) => {
    response.sendFile('index.html', { root, headers: { 'Cache-Control': 'no-cache' } });
  });
  return router;
}
