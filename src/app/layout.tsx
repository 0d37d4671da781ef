import '@fontsource/caveat/500.css';
import '@fontsource/figtree/400.css';
import '@fontsource/figtree/500.css';
import '@fontsource/figtree/600.css';
import '@fontsource/fraunces/600.css';
import '@fontsource/pacifico/400.css';
import '@fontsource/sacramento/400.css';
import './other-scripts.css';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { kitTitles } from '../server/kit-titles';
import { waysShown } from '../server/ways-shown';
import { Keys } from '../ui/keys/Keys';
import { KitNames } from '../ui/kit-names';
import { OwnersWays } from '../ui/own-ways';
import { House } from '../ui/screen/House';
import { theme } from '../ui/theme';

export const metadata: Metadata = {
  title: 'Hobnail',
  description: 'Plans a decorated planner week before a single sticker is peeled.',
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  await connection(); // every page has a nonce of its own for its scripts
  const [titles, ways] = await Promise.all([kitTitles(), waysShown()]);
  return (
    <html lang="en">
      <body>
        <AppRouterCacheProvider>
          <ThemeProvider theme={theme}>
            <CssBaseline />
            <OwnersWays ways={ways}>
              <KitNames titles={titles}>
                <House>{children}</House>
              </KitNames>
              <Keys />
            </OwnersWays>
          </ThemeProvider>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
