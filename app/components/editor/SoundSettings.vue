<script setup lang="ts">
import { infoOf } from '#core/model'
import { captionsFor, startsFromVoice } from '#core/sound'
import { spanOfClip, usualDuck } from '#core/timing'

/** What can be set on the chosen sound of the deck. */
const emit = defineEmits<{ record: [from: number | null]; propose: [starts: number[]] }>()
const store = useDeck()
const sounds = useSounds()
const clips = useClips()
const stage = useStageHost()
const sound = computed(() => sounds.chosen!)
const peaks = computed(() => clips.peaks(sound.value.media))
const whole = computed(() => clips.length(sound.value.media) ?? 0)
const span = computed(() => spanOfClip(sound.value, stage.host))
const use = { narration: 'Voice', bed: 'Music under slides', effect: 'Sound' } as const
const notes = computed(() => store.current.slides[sound.value.fromSlide]?.notes.trim() ?? '')
const language = computed(() => infoOf(store.current).language)
const slideChoices = computed(() => store.slides.map((slide, index) => ({ id: slide.id, label: `Slide ${index + 1}` })))
const at = (id: string) => store.slides.findIndex(slide => slide.id === id)
function setFrom(id: string) {
  sounds.set({ fromSlide: id, ...(at(sound.value.untilSlide) < at(id) ? { untilSlide: id } : {}) })
}
const retake = ref(0)
watch(
  () => sound.value.id,
  () => {
    retake.value = 0
  },
)
const captions = () => captionsFor(notes.value, peaks.value!, language.value)
function propose() {
  const starts = startsFromVoice(notes.value, peaks.value!, language.value).map(
    second => Math.round((second - (span.value?.from ?? 0) + sound.value.delay) * 100) / 100,
  )
  if (starts.length) emit('propose', starts)
  else notifyProblem('The notes hold one sentence only, or nothing is heard: there is nothing to tell beats by.')
}
</script>

<template>
  <div class="settings">
    <div class="head">
      <h3>{{ use[sound.use] }}</h3>
      <UButton
        v-if="store.canEdit"
        variant="ghost"
        size="sm"
        icon="i-lucide-trash-2"
        aria-label="Remove this sound"
        title="Remove this sound"
        @click="sounds.remove()"
      />
    </div>
    <div class="row">
      <span class="label">Name</span>
      <WordsField
        :model-value="sound.name"
        maxlength="200"
        aria-label="Name of the sound"
        @update:model-value="words => words.trim() && sounds.set({ name: words.trim() })"
      />
    </div>
    <audio :key="sound.media" :src="`/api/media/${sound.media}`" controls preload="metadata" />
    <div v-if="sound.use !== 'narration'" class="row">
      <span class="label">From</span>
      <ChoiceField
        :model-value="sound.fromSlide"
        :items="slideChoices.map(slide => ({ value: slide.id, label: slide.label }))"
        label="From slide"
        @update:model-value="setFrom"
      />
    </div>
    <div v-if="sound.use !== 'narration'" class="row">
      <span class="label">until the end of</span>
      <ChoiceField
        :model-value="sound.untilSlide"
        :items="slideChoices.slice(at(sound.fromSlide)).map(slide => ({ value: slide.id, label: slide.label }))"
        label="Until slide"
        @update:model-value="next => sounds.set({ untilSlide: next })"
      />
    </div>
    <div class="row">
      <span class="label">{{ sound.use === 'bed' ? 'Begins after' : 'Begins, once open, after' }}</span>
      <NumberField
        :model-value="sound.delay"
        label="Begins after"
        unit="s"
        :decimals="2"
        :step="0.1"
        :min="0"
        :max="3600"
        @update:model-value="delay => sounds.set({ delay })"
      />
    </div>
    <div class="row">
      <span class="label">Volume</span>
      <SliderField
        :model-value="Math.round(sound.volume * 100)"
        label="Volume"
        :max="100"
        unit="%"
        :disabled="!store.canEdit"
        @update:model-value="percent => sounds.set({ volume: percent / 100 })"
      />
    </div>
    <div v-if="sound.use === 'bed'" class="row">
      <span class="label">Under a voice</span>
      <SliderField
        :model-value="Math.round((sound.duck ?? usualDuck) * 100)"
        label="Under a voice"
        :max="100"
        unit="%"
        :disabled="!store.canEdit"
        @update:model-value="percent => sounds.set({ duck: percent / 100 })"
      />
    </div>
    <div class="row">
      <span class="label">Fades in, out</span>
      <span class="slide">
        <NumberField
          :model-value="sound.fadeIn"
          label="Fades in"
          :decimals="1"
          :step="0.1"
          :min="0"
          :max="60"
          @update:model-value="fadeIn => sounds.set({ fadeIn })"
        />
        <NumberField
          :model-value="sound.fadeOut"
          label="Fades out"
          unit="s"
          :decimals="1"
          :step="0.1"
          :min="0"
          :max="60"
          @update:model-value="fadeOut => sounds.set({ fadeOut })"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Plays of its {{ secondsWords(whole) }}</span>
      <span class="slide">
        <NumberField
          :model-value="sound.from ?? 0"
          label="Plays from"
          :decimals="2"
          :step="0.1"
          :min="0"
          :max="whole"
          @update:model-value="from => sounds.set({ from: from || undefined })"
        />
        <NumberField
          :model-value="sound.until ?? whole"
          label="Plays until"
          unit="s"
          :decimals="2"
          :step="0.1"
          :min="0"
          :max="whole"
          @update:model-value="until => sounds.set({ until: until >= whole ? undefined : until })"
        />
      </span>
    </div>
    <label v-if="sound.use !== 'narration'" class="yes">
      <UCheckbox :model-value="sound.loop" :disabled="!store.canEdit" @update:model-value="on => sounds.set({ loop: on === true })" />
      begins again at its end, without a gap
    </label>
    <template v-if="sound.use === 'narration' && store.canEdit">
      <div class="presses">
        <UButton size="sm" @click="emit('record', null)">Record again</UButton>
        <span class="retake">
          <UButton size="sm" :disabled="retake <= 0" @click="emit('record', retake)">Record again from</UButton>
          <NumberField
            :model-value="retake"
            label="Record again from"
            unit="s"
            :decimals="1"
            :step="0.5"
            :min="0"
            :max="whole"
            @update:model-value="
              second => {
                retake = second
              }
            "
          />
        </span>
        <UButton v-if="notes && peaks" size="sm" @click="propose">Beats from the voice</UButton>
      </div>
      <p v-if="!notes" class="quiet">With words in the notes, the voice can set the beats and the captions.</p>
    </template>
    <CaptionList
      v-if="sound.use === 'narration' || sound.captions?.length"
      :model-value="sound.captions ?? []"
      :name="sound.name"
      :from-notes="notes && peaks ? captions : undefined"
      @update:model-value="next => sounds.set({ captions: next.length ? next : undefined }, 'change captions')"
    />
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: flex-start;
  margin-bottom: 4px;
}
h3 {
  font-size: 17px;
}
audio {
  width: 100%;
  height: 34px;
  margin: 4px 0;
}
.slide {
  display: inline-flex;
  align-items: center;
  gap: 7px;
}
.slide {
  --number-width: 66px;
}
.yes {
  display: inline-flex;
  gap: 7px;
  align-items: center;
  padding: 5px 0;
}
.presses {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 6px 0;
}
.retake {
  display: inline-flex;
  gap: 5px;
}
.retake {
  --number-width: 66px;
}
</style>
