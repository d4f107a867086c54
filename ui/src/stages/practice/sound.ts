// Three short sounds of a drive, off unless they are asked for.
import { useLocalStorage } from '@vueuse/core'
import { onScopeDispose } from 'vue'

/** Frequencies, Hz, one after another. */
const sounds = { touch: [150, 120], stuck: [440, 330], done: [523, 659, 784] }
const each = 0.12 // s

export function useSound() {
  const on = useLocalStorage('sound of a drive', false)
  let context: AudioContext | undefined
  function play(what: keyof typeof sounds) {
    if (!on.value) return
    context ??= new AudioContext()
    const began = context.currentTime
    sounds[what].forEach((hertz, i) => {
      const tone = new OscillatorNode(context!, { frequency: hertz, type: 'triangle' })
      const loud = new GainNode(context!, { gain: 0.15 })
      loud.gain.setTargetAtTime(0, began + (i + 0.6) * each, each / 5)
      tone.connect(loud).connect(context!.destination)
      tone.start(began + i * each)
      tone.stop(began + (i + 1) * each)
    })
  }
  onScopeDispose(() => void context?.close())
  return { on, play }
}
