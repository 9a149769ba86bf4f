import type { Metadata, Viewport } from 'next';
import localFont from 'next/font/local';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { readRegisterId } from '../use-cases/places';
import './globals.css';
import { theDesk } from '../use-cases/desk';

const next = localFont({
  src: '../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
  weight: '200 800',
  variable: '--font-next',
  display: 'swap',
});
const mono = localFont({
  src: '../../node_modules/@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-wght-normal.woff2',
  weight: '200 800',
  variable: '--font-atkinson-mono',
  display: 'swap',
});

export const metadata: Metadata = { title: { default: 'Ready Stool', template: '%s · Ready Stool' } };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Every page is made when it is asked for: a page made at build time would freeze the register and carry no nonce.
  await connection();
  const registerId = await readRegisterId(await theDesk());
  return (
    <html lang="en" data-register={registerId} className={`${next.variable} ${mono.variable}`}>
      <body className="font-sans antialiased">{children}</body>
    </html>
  );
}
