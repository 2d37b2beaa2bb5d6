import { secretOf } from './secretOf';

describe('the secret of a link', () => {
  it('stands behind the «#», whatever its signs', () => {
    expect(secretOf('#KQ7M-2XRD-H4TN')).toBe('KQ7M-2XRD-H4TN');
    expect(secretOf('#KQ7M%202XRD')).toBe('KQ7M 2XRD');
    expect(secretOf('')).toBe('');
  });
  it('is taken as it stands where the link was broken', () => {
    expect(secretOf('#%E0%A4%A')).toBe('%E0%A4%A');
  });
});
