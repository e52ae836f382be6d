<script setup lang="ts">
import type { Caption } from '#core/model'
import { readSubtitles, writeSrt, writeVtt } from '#core/formats/subtitles'

/** Captions of a film or a voice: written, timed, brought as a file and taken away as one. Seconds into the file. */
const props = defineProps<{
  modelValue: readonly Caption[]
  name: string
  /** Makes them anew from the notes; absent where there is nothing to make them from. */ fromNotes?: () => Caption[]
}>()
const emit = defineEmits<{ 'update:modelValue': [captions: Caption[]] }>()
const store = useDeck()
const picker = useTemplateRef('picker')
const set = (index: number, fields: Partial<Caption>) =>
  emit(
    'update:modelValue',
    props.modelValue.map((caption, at) => (at === index ? { ...caption, ...fields } : caption)).sort((a, b) => a.from - b.from),
  )
const remove = (index: number) =>
  emit(
    'update:modelValue',
    props.modelValue.filter((_, at) => at !== index),
  )
function add() {
  const from = props.modelValue.at(-1)?.until ?? 0
  emit('update:modelValue', [...props.modelValue, { from, until: from + 2, text: 'Words' }])
}
async function take(file: File) {
  const read = await readSubtitles(await file.text(), file.name)
  if (!read.ok) return void useToast().add({ title: read.message, color: 'error', duration: 9000 })
  emit('update:modelValue', read.value)
  notify(read.value.length === 1 ? 'One caption is here.' : `${read.value.length} captions are here.`)
}
function save(ending: 'vtt' | 'srt') {
  saveFile(ending === 'vtt' ? writeVtt(props.modelValue) : writeSrt(props.modelValue), `${props.name}.${ending}`)
}
</script>

<template>
  <div class="captions">
    <b class="sub">Captions</b>
    <p v-if="!modelValue.length" class="quiet">None yet.</p>
    <ol>
      <li v-for="(caption, index) in modelValue" :key="index">
        <span class="times">
          <NumberField
            :model-value="caption.from"
            :label="`Caption ${index + 1} from`"
            :decimals="2"
            :step="0.1"
            :min="0"
            :max="86400"
            @update:model-value="from => set(index, { from, until: Math.max(caption.until, from + 0.1) })"
          />
          <NumberField
            :model-value="caption.until"
            :label="`Caption ${index + 1} until`"
            unit="s"
            :decimals="2"
            :step="0.1"
            :min="0"
            :max="86400"
            @update:model-value="until => set(index, { until: Math.max(until, caption.from + 0.1) })"
          />
          <UButton
            v-if="store.canEdit"
            variant="ghost"
            size="sm"
            icon="i-lucide-x"
            :aria-label="`Remove caption ${index + 1}`"
            @click="remove(index)"
          />
        </span>
        <WordsField
          :model-value="caption.text"
          rows="2"
          maxlength="1000"
          :aria-label="`Caption ${index + 1}`"
          @update:model-value="words => (words.trim() ? set(index, { text: words.trim() }) : remove(index))"
        />
      </li>
    </ol>
    <div v-if="store.canEdit" class="presses">
      <UButton v-if="fromNotes" size="sm" @click="emit('update:modelValue', fromNotes())">
        {{ modelValue.length ? 'Anew from the notes' : 'From the notes' }}
      </UButton>
      <UButton size="sm" @click="add">Add one</UButton>
      <UButton size="sm" @click="picker?.open()">Upload a file</UButton>
      <template v-if="modelValue.length">
        <UButton size="sm" @click="save('vtt')">Save as .vtt</UButton>
        <UButton size="sm" @click="save('srt')">Save as .srt</UButton>
      </template>
      <FilePicker ref="picker" accept=".vtt,.srt,text/vtt" data-test="captions-file" @file="take" />
    </div>
  </div>
</template>

<style scoped>
.captions {
  display: flex;
  flex-direction: column;
  gap: 6px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
  margin-top: 6px;
}
.captions p {
  margin: 0;
}
.sub {
  font-size: 13px;
  color: var(--second);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 7px;
  max-height: 260px;
  overflow-y: auto;
}
li {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
li [data-slot='root'] {
  resize: vertical;
  font-size: 13.5px;
}
.times {
  display: flex;
  gap: 6px;
  align-items: center;
}
.times {
  --number-width: 70px;
}
.times [data-slot='base'] {
  margin-left: auto;
}
.presses {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}
</style>
