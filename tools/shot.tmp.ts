/** throwaway: serve + run a steps file */
import { chromium } from 'playwright-core';
const mod = await import(process.argv[2]!);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--autoplay-policy=no-user-gesture-required'],
});
const sizes: any = { desk: [1280, 800], stand: [1024, 768], hand: [390, 844] };
const base = 'http://127.0.0.1:4179';
for (const [name, size, dark, steps] of mod.shots) {
  const [width, height] = sizes[size];
  const ctx = await browser.newContext({
    viewport: { width, height },
    colorScheme: dark ? 'dark' : 'light',
  });
  const page = await ctx.newPage();
  page.on('console', (m) => {
    if (m.type() === 'error') console.log(name, 'console:', m.text());
  });
  page.on('pageerror', (e) => console.log(name, 'error:', String(e)));
  page.setDefaultTimeout(8000);
  try {
    await page.goto(base + '/sign-in');
    await page.getByRole('button', { name: /demo director/ }).click();
    await page.getByRole('heading', { level: 1 }).waitFor();
    await steps(page, base);
    await page.waitForTimeout(300);
  } catch (e) {
    console.log(name, String(e).slice(0, 600));
  }
  await page.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: size === 'hand' });
  await ctx.close();
}
await browser.close();
