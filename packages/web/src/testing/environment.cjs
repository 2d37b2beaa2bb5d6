const { TestEnvironment } = require('jest-environment-jsdom');

/**
 * Styles of what is alike are worked out once: whether something is hidden is asked of every element again
 * and again, and going through all rules of a page each time took a fifth of the time.
 */
function workedOutOnce(workOut) {
  const found = new Map();
  return (element, ...more) => {
    const { tagName, hidden } = element;
    const key = [
      tagName,
      element.getAttribute('class'),
      element.getAttribute('style'),
      hidden,
      more,
    ];
    const name = key.join('|');
    if (!found.has(name)) found.set(name, workOut(element, ...more));
    return found.get(name);
  };
}

/**
 * jsdom with Node's own globals put back, which our code and its libraries expect, and with what it
 * lacks because it lays nothing out: every letter is six pixels wide, every font is there.
 */
module.exports = class extends TestEnvironment {
  close = [];

  async setup() {
    await super.setup();
    const { global } = this;
    for (const name of [
      'structuredClone',
      'TextEncoder',
      'TextDecoder',
      'fetch',
      'Request',
      'Response',
      'Headers',
      'ReadableStream',
    ]) {
      global[name] ??= globalThis[name];
    }
    // Open channels would keep the run from ending.
    const { close } = this;
    global.MessageChannel ??= class extends globalThis.MessageChannel {
      constructor() {
        super();
        close.push(this.port1);
      }
    };
    global.BroadcastChannel ??= class extends globalThis.BroadcastChannel {
      constructor(name) {
        super(name);
        close.push(this);
      }
    };
    global.ResizeObserver ??= class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    global.FontFace ??= class {
      load() {
        return Promise.resolve(this);
      }
    };
    global.document.fonts ??= { add() {}, ready: Promise.resolve() };
    global.matchMedia ??= () => ({
      matches: false,
      addEventListener() {},
      removeEventListener() {},
    });
    // Every box is as large as a page.
    for (const [name, size] of Object.entries({ clientHeight: 800, clientWidth: 1280 })) {
      Object.defineProperty(global.Element.prototype, name, {
        configurable: true,
        get: () => size,
      });
    }
    const { prototype: canvas } = global.HTMLCanvasElement;
    canvas.getContext = () => ({
      font: '',
      measureText: (text) => ({
        width: 6 * text.length,
        actualBoundingBoxAscent: 8,
        actualBoundingBoxDescent: 2,
        actualBoundingBoxLeft: 0,
        actualBoundingBoxRight: 6 * text.length,
        fontBoundingBoxAscent: 8,
        fontBoundingBoxDescent: 2,
      }),
    });
    global.PointerEvent ??= class extends global.MouseEvent {
      constructor(type, init = {}) {
        super(type, init);
        this.pointerId = init.pointerId ?? 1;
        this.pointerType = init.pointerType ?? 'mouse';
      }
    };
    global.getComputedStyle = workedOutOnce(global.getComputedStyle.bind(global));
    // Where these are, libraries listen to pointers.
    global.onpointerdown ??= null;
    const { prototype: element } = global.Element;
    // A pointer stays with what it was pressed on anyway.
    element.setPointerCapture ??= () => {};
    element.releasePointerCapture ??= () => {};
    element.hasPointerCapture ??= () => true;
    element.scrollIntoView ??= () => {};
  }

  async teardown() {
    for (const one of this.close) one.close();
    await super.teardown();
  }
};
