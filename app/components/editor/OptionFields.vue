<script setup lang="ts">
import { deckTheme, drawnIconSchema, type DrawnIcon } from '#core/model'
import { themeSeen } from '#core/resolved'
import { optionOf, parseJson, type OptionField, type Options } from '#core/values'
import { colorOption, colorValue, mostWords } from '#core/timing'
import { measurePath } from '#core/shapes'

/** What an effect, a transition or a kind of charts lets one choose. */
const props = defineProps<{ of: { readonly options: readonly OptionField[] }; options: Options }>()
const emit = defineEmits<{ set: [options: Options] }>()
const store = useDeck()
const where = useWhere()
const theme = computed(() => (where.stageId ? themeSeen(store.current, where.stageId) : deckTheme(store.current)))
const set = (name: string, value: string | number | boolean) => emit('set', { ...props.options, [name]: value })
/** Keeps a way that was written, where it is one. */
function setPath(name: string, path: string) {
  if (path.length > mostPath)
    notifyProblem(
      `The path has ${numberWords(path.length)} letters; it may have ${numberWords(mostPath)}. Leave corners ` +
        'out, or draw it on the stage.',
    )
  else if (measurePath(path).length < 1)
    notifyProblem('That is no path that leads anywhere. Write SVG path data, as M0 0 L300 100, or draw the way on the stage.')
  else set(name, path)
}
/** Keeps an icon that was chosen, where it is one that can be filled, and not too large. */
function setIcon(name: string, icon: DrawnIcon) {
  const kept = JSON.stringify({ ...icon, paths: icon.paths.filter(({ width }) => !width) })
  if (icon.paths.every(({ width }) => width)) notifyProblem(`“${icon.name}” is of lines alone. Choose one that is filled.`)
  else if (kept.length > mostPath) notifyProblem(`“${icon.name}” has too many points to stand here many times. Choose a plainer one.`)
  else set(name, kept)
}
const iconName = (name: string) =>
  drawnIconSchema.safeParse(parseJson(optionOf<string>(props.of, props.options, name))).data?.name ?? 'a person'
const mostPath = 2000
/** What applies as things are chosen. */
const shown = computed(() =>
  props.of.options.filter(option => !option.when || optionOf<string>(props.of, props.options, option.when.name) === option.when.is),
)
</script>

<template>
  <div v-for="option in shown" :key="option.name" class="row">
    <span class="label">{{ option.kind === 'boolean' ? '' : option.label }}</span>
    <ChoiceField
      v-if="option.kind === 'choice'"
      :model-value="optionOf<string>(of, options, option.name)"
      :items="option.values.map(item => ({ value: item.value, label: item.label }))"
      :label="option.label"
      @update:model-value="next => set(option.name, next)"
    />
    <NumberField
      v-else-if="option.kind === 'number'"
      :model-value="optionOf<number>(of, options, option.name)"
      :label="option.label"
      :unit="option.unit"
      :min="option.min"
      :max="option.max"
      :step="option.step"
      :decimals="option.step < 1 ? 2 : 0"
      @update:model-value="amount => set(option.name, amount)"
    />
    <label v-else-if="option.kind === 'boolean'" class="yes">
      <UCheckbox :model-value="optionOf<boolean>(of, options, option.name)" @update:model-value="on => set(option.name, on === true)" />
      {{ option.label }}
    </label>
    <ColorField
      v-else-if="option.kind === 'color'"
      :model-value="colorOption(of, options, option.name)"
      :theme="theme"
      :label="option.label"
      @update:model-value="color => color && set(option.name, colorValue(color))"
    />
    <ChoiceField
      v-else-if="option.kind === 'element'"
      :model-value="optionOf<string>(of, options, option.name)"
      :items="[
        { value: '', label: 'nothing' },
        ...(where.score?.elements ?? [])
          .filter(one => !one.pinned && one.kind !== 'figure')
          .map(element => ({ value: element.id, label: element.name })),
      ]"
      :label="option.label"
      @update:model-value="next => set(option.name, next)"
    />
    <WordsField
      v-else-if="option.kind === 'words'"
      :model-value="optionOf<string>(of, options, option.name)"
      class="words"
      rows="2"
      :aria-label="option.label"
      :maxlength="mostWords"
      @update:model-value="words => set(option.name, words)"
    />
    <IconFinder v-else-if="option.kind === 'icon'" :label="option.label" @choose="icon => setIcon(option.name, icon)">
      <UButton size="sm">{{ iconName(option.name) }}</UButton>
    </IconFinder>
    <WordsField
      v-else
      :model-value="optionOf<string>(of, options, option.name)"
      class="amount"
      maxlength="2000"
      :aria-label="option.label"
      spellcheck="false"
      title="SVG path data, from where the element stands"
      @update:model-value="words => setPath(option.name, words)"
    />
  </div>
</template>

<style scoped>
.yes {
  display: inline-flex;
  gap: 7px;
  align-items: center;
}
</style>
