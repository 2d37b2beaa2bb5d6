import { readFileSync } from 'node:fs';
import { expect, type Download, type Locator } from '@playwright/test';

/** A file that a page handed over. */
export interface HandedOver {
  readonly name: string;
  readonly path: string;
  readonly bytes: Buffer;
}

/**
 * What a page hands over as a file when a button is touched. Where a page is still moving, so that the
 * first touch slips off, it is touched once more.
 */
export async function handedOver(button: Locator): Promise<HandedOver> {
  let file: Download | undefined;
  await expect(async () => {
    const waiting = button.page().waitForEvent('download', { timeout: 20_000 });
    [file] = await Promise.all([waiting, button.click()]);
  }).toPass({ timeout: 90_000 });
  const path = await file!.path();
  return { name: file!.suggestedFilename(), path, bytes: readFileSync(path) };
}
