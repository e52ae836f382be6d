<script setup lang="ts">
import { parseDate, type DateValue } from '@internationalized/date'

/** A day (ISO 8601, as 2031-04-02), typed part by part or chosen from the calendar; null is none. */
const props = defineProps<{ modelValue: string | null; label: string; disabled?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [day: string | null] }>()
const day = computed(() => (props.modelValue ? parseDate(props.modelValue) : undefined))
const take = (next: unknown) => {
  const text = (next as DateValue | undefined)?.toString() ?? null
  if (text !== props.modelValue) emit('update:modelValue', text)
}
</script>

<template>
  <UInputDate :model-value="day" :aria-label="label" :disabled="disabled" @update:model-value="take">
    <template #trailing>
      <UPopover>
        <UButton variant="ghost" size="sm" icon="i-lucide-calendar" :aria-label="`${label}: calendar`" :disabled="disabled" />
        <template #content="{ close }">
          <UCalendar
            class="p-2"
            :model-value="day"
            @update:model-value="
              next => {
                take(next)
                close()
              }
            "
          />
        </template>
      </UPopover>
      <UButton
        v-if="modelValue"
        variant="ghost"
        size="sm"
        icon="i-lucide-x"
        :aria-label="`${label}: none`"
        :disabled="disabled"
        @click="take(undefined)"
      />
    </template>
  </UInputDate>
</template>
