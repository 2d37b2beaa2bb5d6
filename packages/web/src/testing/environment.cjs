const { TestEnvironment } = require('jest-environment-jsdom');

/** jsdom with Node's own globals put back, which our code and its libraries expect. */
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    for (const name of [
      'structuredClone',
      'TextEncoder',
      'TextDecoder',
      'fetch',
      'Request',
      'Response',
      'Headers',
      'ReadableStream',
      'MessageChannel',
      'BroadcastChannel',
    ]) {
      this.global[name] ??= globalThis[name];
    }
  }
};
