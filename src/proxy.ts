import { NextResponse, type NextRequest } from 'next/server';
import { isOwnHost } from './use-cases/ownHost';

/** A policy for each page with a fresh nonce: nothing from another origin is loaded, sent or framed. */
export function proxy(request: NextRequest): NextResponse {
  if (!isOwnHost(request.headers.get('host') ?? ''))
    return new NextResponse('Ready Stool answers on this machine only.', { status: 403 });
  if (!isPath(request.nextUrl.pathname)) return new NextResponse('This address is none.', { status: 400 });
  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('Content-Security-Policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('Referrer-Policy', 'same-origin');
  response.headers.set('Cross-Origin-Resource-Policy', 'same-origin');
  return response;
}

/** A part like `%ff` is no text in any alphabet. */
function isPath(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

// Of the interface only addresses with something encoded in them: no key of ours has.
export const config = { matcher: ['/((?!api/|_next/static/|icon).*)', '/api/(.*%.*)'] };
