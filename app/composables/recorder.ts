import { expected } from '#core/values'
/** Why a microphone or camera cannot be had, in a sentence. */
function refusal(error: unknown, what: 'microphone' | 'camera'): string {
  const name = (error as DOMException).name
  if (name === 'NotAllowedError' || name === 'SecurityError')
    return `This page may not use the ${what}. Allow it beside the address of the page, then press Record again.`
  if (name === 'NotFoundError' || name === 'OverconstrainedError') return `No ${what} was found. Connect one, then press Record again.`
  if (name === 'NotReadableError') return `The ${what} is in use by another program. Close that, then press Record again.`
  return `The ${what} cannot be used here. ${what === 'camera' ? 'Bring a film instead.' : 'Bring a sound instead.'}`
}

/** Records by microphone, or by camera and microphone, with how loud it is meanwhile. */
export function useRecorder(what: 'microphone' | 'camera') {
  const state = ref<'ready' | 'recording' | 'done'>('ready')
  const problem = ref('')
  /** 0 to 1. */
  const level = ref(0)
  const seconds = ref(0)
  const taken = shallowRef<Blob | null>(null)
  const stream = shallowRef<MediaStream | null>(null)
  let recorder: MediaRecorder | null = null
  let context: AudioContext | null = null
  let request = 0

  function release() {
    cancelAnimationFrame(request)
    stream.value?.getTracks().forEach(track => track.stop())
    stream.value = null
    void context?.close().catch(expected('InvalidStateError'))
    context = null
    level.value = 0
  }
  function watchLevel(from: MediaStream) {
    context = new AudioContext()
    const analyser = context.createAnalyser()
    context.createMediaStreamSource(from).connect(analyser)
    const values = new Float32Array(analyser.fftSize)
    const begun = performance.now()
    const look = () => {
      analyser.getFloatTimeDomainData(values)
      level.value = Math.min(1, Math.max(...values.map(Math.abs)))
      seconds.value = (performance.now() - begun) / 1000
      request = requestAnimationFrame(look)
    }
    look()
  }
  async function begin() {
    problem.value = ''
    taken.value = null
    try {
      stream.value = await navigator.mediaDevices.getUserMedia({
        audio: true,
        ...(what === 'camera' ? { video: { width: { ideal: 1280 }, height: { ideal: 720 } } } : {}),
      })
    } catch (error) {
      problem.value = refusal(error, what)
      return
    }
    const parts: Blob[] = []
    recorder = new MediaRecorder(stream.value)
    recorder.ondataavailable = event => event.data.size && parts.push(event.data)
    recorder.onstop = () => {
      taken.value = new Blob(parts, { type: recorder?.mimeType })
      state.value = 'done'
      release()
    }
    recorder.onerror = () => {
      problem.value = `The recording broke off. What was recorded until then is here.`
    }
    recorder.start(1000)
    state.value = 'recording'
    watchLevel(stream.value)
  }
  const end = () => recorder?.state === 'recording' && recorder.stop()
  function again() {
    taken.value = null
    state.value = 'ready'
    seconds.value = 0
  }
  onScopeDispose(() => {
    if (recorder) recorder.onstop = null
    end()
    release()
  })
  return { state, problem, level, seconds, taken, stream, begin, end, again }
}
