import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { problem } from './problem';

/** SHA-256 of nothing: lets emotion open its empty <style>, which it then fills by rule; no inline style text gets in. */
const emptyStyle = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** The headers of every answer: nothing from elsewhere, nothing inline. */
export const securityHeaders = (): RequestHandler =>
  helmet({
    // Said below, where a request came by TLS.
    strictTransportSecurity: false,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'", emptyStyle],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        mediaSrc: ["'self'", 'blob:'],
        connectSrc: ["'self'"],
        workerSrc: ["'self'", 'blob:'],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
  });

/** Of what a browser can do, only the microphone and instruments are asked for, and only by our own pages. */
export const permissions: RequestHandler = (_request, response, next) => {
  response.setHeader(
    'Permissions-Policy',
    'microphone=(self), camera=(), geolocation=(), payment=(), usb=(), midi=(self)',
  );
  next();
};

/** Nothing here is for search engines: a page behind a secret link least of all. */
export const unlisted: RequestHandler = (_request, response, next) => {
  response.setHeader('X-Robots-Tag', 'noindex, nofollow');
  next();
};

/** Whoever came by TLS comes by TLS for half a year; TLS ends in front of us, where there is any. */
export const strictTransport: RequestHandler = (request, response, next) => {
  if (request.secure) response.setHeader('Strict-Transport-Security', 'max-age=15552000');
  next();
};

/**
 * A change must come from our own pages: a browser names the origin, and it has to be ours. What is
 * ours is said by the host that was asked, or, where a proxy in front changes that, by the public address.
 */
export const sameOriginOnly = (publicUrl: string): RequestHandler => {
  const publicHost = hostOf(publicUrl);
  return (request, _response, next) => {
    const origin = request.headers.origin;
    const safe = request.method === 'GET' || request.method === 'HEAD';
    const from = origin === undefined ? undefined : hostOf(origin);
    if (
      safe ||
      origin === undefined ||
      (from !== undefined && (from === request.headers.host || from === publicHost))
    ) {
      next();
      return;
    }
    throw problem('other_origin');
  };
};

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
