/** Hands the microphone's samples on, some 23 ms at a time. Runs on the audio thread. */
class Capture extends AudioWorkletProcessor {
  constructor() {
    super();
    this.block = new Float32Array(1024);
    this.filled = 0;
  }

  process([input]) {
    const samples = input?.[0];
    if (!samples) return true;
    for (const sample of samples) {
      this.block[this.filled] = sample;
      this.filled += 1;
      if (this.filled === this.block.length) {
        this.port.postMessage(this.block, [this.block.buffer]);
        this.block = new Float32Array(1024);
        this.filled = 0;
      }
    }
    return true;
  }
}

registerProcessor('capture', Capture);
