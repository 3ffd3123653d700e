import type { Metadata } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import './globals.css';
import { APPEARANCE_COOKIE, readAppearanceCookie } from '@/components/appearance/appearance';
import { Providers } from '@/components/shell/Providers';
import { readUnitCookie, UNIT_COOKIE } from '@/components/units/unitCookie';

export const metadata: Metadata = {
  title: { default: 'Tidy Marlin', template: '%s · Tidy Marlin' },
  description: 'Load, count, test and set segmented fishing lines',
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const [cookieJar, requestHeaders] = await Promise.all([cookies(), headers()]);
  const appearance = readAppearanceCookie(cookieJar.get(APPEARANCE_COOKIE)?.value);
  return (
    <html lang="en" data-theme={appearance.theme} data-text={appearance.text} suppressHydrationWarning>
      <body className="min-h-dvh font-sans">
        <Providers
          units={readUnitCookie(cookieJar.get(UNIT_COOKIE)?.value)}
          nonce={requestHeaders.get('x-nonce') ?? ''}
        >
          {children}
        </Providers>
      </body>
    </html>
  );
}
