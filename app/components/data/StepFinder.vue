<script setup lang="ts">
import { stepsSaid, type Sight, type Step } from '#core/steps'

/** Where a step is found by its name, or said in words, and added. */
const props = defineProps<{ sight: Sight; label: string; isFirst: boolean }>()
const emit = defineEmits<{ add: [step: Step] }>()
const open = defineModel<boolean>('open', { required: true })
const said = ref('')
const found = computed(() => stepsSaid(said.value, props.sight))
function add(step: Step | null | undefined) {
  if (!step) return
  open.value = false
  said.value = ''
  emit('add', step)
}
</script>

<template>
  <UPopover v-model:open="open">
    <UButton :color="isFirst ? 'primary' : 'neutral'" :variant="isFirst ? 'solid' : 'outline'" icon="i-lucide-plus">{{ label }}</UButton>
    <template #content>
      <div class="finder" @keydown="walkGrid($event, '.offer')">
        <UInput
          v-model="said"
          v-cursor
          class="w-full"
          placeholder="Say it: “share of riders by month”"
          aria-label="Say which step"
          @keydown.enter.prevent="add(found.find(({ step }) => step)?.step)"
        />
        <ul>
          <li v-for="offer in found" :key="offer.kind">
            <UButton variant="bare" class="offer" :disabled="!offer.step" @click="add(offer.step)">
              <b>{{ offer.title }}</b>
              <span>{{ offer.needs ? `Needs ${offer.needs}.` : offer.explains }}</span>
            </UButton>
          </li>
        </ul>
        <p v-if="!found.length" class="quiet">No step is called so. Name what it does, as sum, share, top 10, join.</p>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.finder {
  width: 380px;
  padding: 10px;
}
.finder ul {
  max-height: 320px;
  overflow-y: auto;
  margin-top: 8px;
}
.offer {
  display: grid;
  width: 100%;
  padding: 6px 8px;
  border-radius: 8px;
  text-align: left;
  font-size: 14px;
}
.offer span {
  font-size: 13px;
  color: var(--second);
}
.offer:hover:not(:disabled),
.offer:focus-visible {
  background: var(--act-wash);
}
</style>
