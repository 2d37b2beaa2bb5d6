import { wantedPage } from './enter';

describe('the page wanted before signing in', () => {
  it('is one of ours or the first', () => {
    const to = (address: string) => wantedPage(new URLSearchParams({ to: address }));
    expect(to('/evenings/1/plan')).toBe('/evenings/1/plan');
    expect(to('//elsewhere.example')).toBe('/');
    expect(to('https://elsewhere.example')).toBe('/');
    expect(wantedPage(new URLSearchParams())).toBe('/');
  });
});
