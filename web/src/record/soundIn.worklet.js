/* global AudioWorkletProcessor, registerProcessor, sampleRate */
/** Passes on what comes in by the microphone, with how loud it is. */
class SoundIn extends AudioWorkletProcessor {
  constructor(options) {
    super();
    this.filled = 0;
    this.samples = new Float32Array(Math.round(sampleRate * options.processorOptions.piece));
  }

  process(inputs) {
    const channels = inputs[0];
    if (!channels || channels.length === 0) return true;
    const length = channels[0].length;
    for (let i = 0; i < length; i++) {
      let sum = 0;
      for (const c of channels) sum += c[i];
      this.samples[this.filled++] = sum / channels.length;
      if (this.filled === this.samples.length) {
        this.port.postMessage(this.samples);
        this.samples = new Float32Array(this.samples.length);
        this.filled = 0;
      }
    }
    return true;
  }
}

registerProcessor('sound-in', SoundIn);
