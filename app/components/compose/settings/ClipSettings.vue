<script setup lang="ts">
import type { ClipElement, FilmElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { outlineOf } from '#core/shapes'
import { spanOfClip } from '#core/timing'

/** A film or sound on a slide: which stretch of it plays, how, and for how long. */
const props = defineProps<{ element: ClipElement & ShownElement }>()
const emit = defineEmits<{ choose: [] }>()
const clips = useClips()
const stage = useStageHost()
const arranging = useArranging()
const work = useStage()
const set = (label: string, fields: Partial<FilmElement>) => arranging.set(label, fields)
const whole = computed(() => (props.element.media ? (clips.length(props.element.media) ?? 0) : 0))
const span = computed(() => spanOfClip(props.element, stage.host))
const film = computed(() => (props.element.kind === 'film' ? props.element : null))
const frames = ['rectangle', 'rounded', 'circle', 'arch', 'hexagon', 'blob'] as const
const peaks = computed(() => (props.element.media ? clips.peaks(props.element.media) : null))
</script>

<template>
  <section>
    <div class="row">
      <span class="label">{{ film ? 'Film' : 'Sound' }}</span>
      <span>
        <UButton size="sm" @click="emit('choose')">{{ element.media ? 'Swap it' : 'Choose one' }}</UButton>
      </span>
    </div>
    <video
      v-if="film && element.media"
      :key="element.media"
      class="heard"
      :src="`/api/media/${element.media}`"
      controls
      preload="metadata"
    />
    <audio
      v-else-if="element.media"
      :key="`a${element.media}`"
      class="heard"
      :src="`/api/media/${element.media}`"
      controls
      preload="metadata"
    />
    <template v-if="element.media">
      <WaveForm v-if="peaks" :peaks="peaks" :from="span?.from ?? 0" :until="span?.until ?? whole" :width="244" :height="26" class="peaks" />
      <div class="row">
        <span class="label">Plays from, until</span>
        <span class="pair">
          <NumberField
            :model-value="element.from ?? 0"
            label="Plays from"
            :decimals="2"
            :step="0.1"
            :min="0"
            :max="whole"
            @update:model-value="from => set('trim', { from: from || undefined })"
          />
          <NumberField
            :model-value="element.until ?? whole"
            label="Plays until"
            unit="s"
            :decimals="2"
            :step="0.1"
            :min="0"
            :max="whole"
            @update:model-value="until => set('trim', { until: until >= whole ? undefined : until })"
          />
        </span>
      </div>
      <div class="row">
        <span class="label">Speed</span>
        <NumberField
          :model-value="element.speed ?? 1"
          label="Speed"
          unit="×"
          :decimals="2"
          :step="0.05"
          :min="0.25"
          :max="4"
          @update:model-value="speed => set('change the speed of', { speed: speed === 1 ? undefined : speed })"
        />
      </div>
      <p v-if="span" class="quiet">It plays {{ secondsWords(span.seconds) }} of {{ secondsWords(whole) }}.</p>
      <div class="row">
        <span class="label">Volume</span>
        <NumberField
          :model-value="(element.volume ?? 1) * 100"
          label="Volume"
          unit="%"
          :min="0"
          :max="100"
          :step="5"
          @update:model-value="volume => set('change the volume of', { volume: volume / 100 })"
        />
      </div>
      <label class="yes">
        <UCheckbox :model-value="element.loop ?? false" @update:model-value="on => set('loop', { loop: on === true || undefined })" />
        begins again until the slide ends
      </label>
      <div v-if="film && element.loop" class="row">
        <span class="label">Crossfade at its end</span>
        <NumberField
          :model-value="element.blend ?? 0"
          label="Crossfade at its end"
          unit="s"
          :decimals="1"
          :step="0.1"
          :min="0"
          :max="Math.max(0, (span?.seconds ?? 0) / 2)"
          @update:model-value="blend => set('blend the end of', { blend: blend || undefined })"
        />
      </div>
      <label class="yes">
        <UCheckbox :model-value="!!element.over" @update:model-value="on => set('let run on', { over: on === true ? 1 : undefined })" />
        runs on over the next slides
      </label>
      <div v-if="element.over" class="row">
        <span class="label">Over how many</span>
        <NumberField
          :model-value="element.over"
          label="Over how many slides"
          :min="1"
          :max="1000"
          @update:model-value="over => set('let run on', { over: Math.round(over) })"
        />
      </div>
    </template>
    <template v-if="film">
      <b class="sub">Frame</b>
      <div class="frames">
        <UButton
          v-for="name in frames"
          :key="name"
          variant="bare"
          class="frame"
          :class="{ on: (film.frame?.shape ?? 'rectangle') === name }"
          :aria-label="name"
          @click="
            set('frame', { frame: name === 'rectangle' ? undefined : { shape: name, ...(name === 'rounded' ? { radius: 32 } : {}) } })
          "
        >
          <svg viewBox="-1 -1 34 26"><path :d="outlineOf({ shape: name, radius: 6 }, { width: 32, height: 24 })" /></svg>
        </UButton>
      </div>
      <div class="row">
        <span class="label">In its frame</span>
        <ChoiceField
          :model-value="film.fit ?? 'fill'"
          :items="[
            { value: 'fill', label: 'fills it, edges cut' },
            { value: 'whole', label: 'whole, room beside it' },
          ]"
          label="In its frame"
          @update:model-value="next => set('fit', { fit: next === 'whole' ? 'whole' : undefined })"
        />
      </div>
      <div class="row">
        <span class="label">Still until it plays</span>
        <NumberField
          :model-value="film.poster ?? film.from ?? 0"
          label="Still until it plays"
          unit="s"
          :decimals="2"
          :step="0.5"
          :min="0"
          :max="whole"
          @update:model-value="poster => set('change the still of', { poster })"
        />
      </div>
    </template>
    <template v-if="film && element.media">
      <div class="row">
        <span class="label">Moves</span>
        <span class="pair">
          <UButton size="sm" :active="work.tool === 'area'" @click="work.tool = work.tool === 'area' ? null : 'area'">
            {{ film.moving ? 'in another area' : 'only in an area' }}
          </UButton>
          <UButton v-if="film.moving" variant="ghost" size="sm" @click="set('let all move of', { moving: undefined })">everywhere</UButton>
        </span>
      </div>
      <div v-if="film.moving" class="row">
        <span class="label">Its edge fades over</span>
        <NumberField
          :model-value="film.moving.soft"
          label="Its edge fades over"
          unit="px"
          :min="0"
          :max="400"
          :step="4"
          @update:model-value="soft => set('soften the area of', { moving: { ...film!.moving!, soft } })"
        />
      </div>
    </template>
    <CaptionList
      v-if="element.media"
      :model-value="element.captions ?? []"
      :name="element.name"
      @update:model-value="captions => set('change the captions of', { captions: captions.length ? captions : undefined })"
    />
  </section>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 5px;
}
.pair {
  --number-width: 64px;
}
.heard {
  width: 100%;
  max-height: 150px;
  border-radius: 6px;
  background: var(--well);
}
audio.heard {
  height: 34px;
}
.peaks {
  color: var(--comes);
  margin: 4px 0;
  max-width: 100%;
}
.yes {
  display: flex;
  gap: 7px;
  align-items: center;
  padding: 4px 0;
}
.sub {
  font-size: 13px;
  color: var(--second);
}
.frames {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 4px;
  padding: 4px 0;
}
.frame {
  border: 1px solid var(--line);
  background: none;
  border-radius: 7px;
  padding: 5px;
  cursor: pointer;
  color: var(--second);
}
.frame.on {
  border-color: var(--act);
  background: var(--act-wash);
  color: var(--act);
}
.frame svg {
  width: 100%;
  height: 20px;
  fill: currentColor;
}
p {
  margin: 2px 0;
}
</style>
