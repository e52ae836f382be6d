<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core'

/** The team's tables: where each comes from, how it is read with every guess in words, and its versions. */
useHead({ title: 'Data · Hailbank' })
const { canEdit } = useUserSession()
const {
  follow,
  folder,
  list,
  detail,
  id,
  busy,
  lacking,
  done,
  load,
  look,
  goTo,
  open,
  rowAt,
  order,
  decide,
  decideColumn,
  undo,
  rename,
  putOnAir,
  take,
  takeVersion,
  makeBySteps,
  changedHere,
  remove,
} = useDataRoom()
const picker = useTemplateRef('picker')
const next = useTemplateRef('next')
const naming = ref(false)
const removing = ref(false)
/** A table is begun by typing it; its name until it is kept, and the table that came of it. */
const typing = ref('')
const typed = ref('')
function typeOne() {
  const taken = new Set(list.value.map(({ name }) => name))
  let name = 'Typed table'
  for (let count = 2; taken.has(name); count++) name = `Typed table ${count}`
  typing.value = name
  typed.value = ''
  void goTo({ view: undefined })
}
async function typedOne(made: string) {
  typed.value = made
  await load()
  await open(made)
}
/** Whether what is looked at came as a workbook. */
const isWorkbook = computed(() =>
  /\.(xlsx|xlsm|xls|ods)$/i.test(detail.value?.versions.find(({ number }) => number === detail.value?.shown.number)?.fileName ?? ''),
)
/** Whether the address of a service is being asked for. */
const following = ref(false)
async function followed(made: string) {
  following.value = false
  await load()
  await open(made)
}
/** Whether the table that is typed is not here yet as others are. */
const drafts = computed(() => typing.value !== '' && detail.value?.id !== (typed.value || null))
/** Whether the table that is looked at is typed here, and stands as it was typed last. */
const isTyped = computed(() => !!detail.value?.typed && canEdit.value && detail.value.shown.number === detail.value.versions.at(-1)?.number)
/** One goes on typing where a table that is begun becomes one of the team’s. */
const gridKey = computed(() => (drafts.value || detail.value?.id === typed.value ? `begun ${typing.value}` : detail.value!.id))
async function again() {
  await load()
  await look()
}
await again()
/** Tables that follow a file change by themselves. */
useIntervalFn(() => void follow(), 4000)

watch(id, () => {
  naming.value = removing.value = false
  if (id.value !== typed.value) typing.value = typed.value = ''
})
const { over, on } = useFileDrop(
  files => void take(files),
  () => canEdit.value,
)
/** What is pasted becomes tables, as if it were brought as files. */
useEventListener('paste', (event: ClipboardEvent) => {
  if (!event.clipboardData || !canEdit.value || isTyping(event.target) || document.querySelector('[role=dialog]')) return
  const files = tablesPasted(event.clipboardData)
  if (files.length) void take(files)
  else notifyProblem('What was pasted is no table: copy rows of a spreadsheet, a table of a page, or lines parted by tabs or commas.')
})
/** What is looked at of the table: how it was read, how it can be drawn, and what it can tell. */
const views = computed(() => [
  { value: 'read', label: detail.value?.steps ? 'Its rows' : 'How it is read' },
  { value: 'steps', label: 'Steps' },
  { value: 'draw', label: 'Draw it' },
  { value: 'tell', label: 'Tell it' },
  { value: 'used', label: 'Used in' },
])
const route = useRoute()
const view = computed(() => views.value.find(({ value }) => value === route.query.view)?.value ?? 'read')
const desk = useTemplateRef<{ done: readonly { label: string }[]; undo: () => Promise<void> }>('desk')
/** What was done last in the view that is looked at. */
const undoable = computed(() => {
  const of = view.value === 'steps' ? desk.value : { done: done.value, undo }
  const last = of?.done.at(-1)
  return last ? { label: last.label, undo: () => void of!.undo() } : null
})
const showView = (next: string) => void goTo({ view: next === 'read' ? undefined : next })
function onViewKey(event: KeyboardEvent) {
  const next = { KeyR: 'read', KeyS: 'steps', KeyD: 'draw', KeyT: 'tell', KeyU: 'used' }[event.code]
  if (!event.altKey || event.ctrlKey || event.metaKey || !next || !detail.value || isTyping(event.target)) return
  event.preventDefault()
  showView(next)
}
onKeys(onViewKey)
/** Goes to the next question that is open. */
function onKey(event: KeyboardEvent) {
  if (event.key.toLowerCase() !== 'q' || isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
  const questions = [...document.querySelectorAll<HTMLElement>('[data-question]')]
  if (!questions.length) return
  event.preventDefault()
  const at = questions.indexOf(document.activeElement as HTMLElement)
  questions[(at + 1) % questions.length]!.focus()
}
onKeys(onKey)
/** A table leaves as it was read, in the version that is looked at. */
const saveAs = (as: 'csv' | 'xlsx', label: string) => ({
  label,
  icon: 'i-lucide-download',
  to: `/api/data/${id.value}/file?as=${as}&version=${detail.value?.shown.number ?? 1}`,
  external: true,
  download: '',
})
const changes = computed(() => [
  ...(detail.value?.steps
    ? [
        {
          label: 'Try it on a copy',
          icon: 'i-lucide-copy',
          onSelect: () => void makeBySteps('a copy', []),
        },
      ]
    : []),
  {
    label: 'Rename',
    icon: 'i-lucide-pencil',
    onSelect: () =>
      afterMenu(() => {
        naming.value = true
      }),
  },
  {
    label: 'Remove',
    icon: 'i-lucide-trash-2',
    color: 'error' as const,
    onSelect: () => {
      removing.value = true
    },
  },
])
const menu = computed(() => [
  [saveAs('csv', 'Save as CSV'), saveAs('xlsx', 'Save as a workbook')],
  ...(canEdit.value ? [changes.value] : []),
])
</script>

<template>
  <div class="page">
    <SiteBar>
      <UButton v-if="undoable" variant="ghost" @click="undoable.undo">Undo “{{ undoable.label }}”</UButton>
      <UButton v-if="canEdit && folder?.services.length" data-test="follow-address" @click="following = true">Follow an address</UButton>
      <UButton v-if="canEdit" @click="typeOne">Type a table</UButton>
      <UButton v-if="canEdit" color="primary" variant="solid" @click="picker?.open()">Upload a table</UButton>
    </SiteBar>
    <FollowAddress v-if="following" :services="folder?.services ?? []" @close="following = false" @made="followed" />
    <main class="data" v-on="on">
      <DataRail :list="list" :chosen="id" :folder="folder" :lacking="!!lacking" @open="open" />
      <section v-if="drafts || detail" class="table" :aria-label="drafts ? typing : detail!.name">
        <header v-if="drafts">
          <WordsField v-model="typing" class="title" aria-label="Name of the table" maxlength="200" />
          <UButton class="close" @click="typing = typed = ''">Close</UButton>
        </header>
        <header v-else-if="detail">
          <RenameField v-if="naming" :model-value="detail.name" aria-label="Name of the table" @rename="rename" @done="naming = false" />
          <h2 v-else :title="detail.name">{{ detail.name }}</h2>
          <span class="quiet file" :title="detail.versions.find(one => one.number === detail!.shown.number)?.fileName">
            {{ detail.versions.find(one => one.number === detail!.shown.number)?.fileName }},
            {{ detail.shown.rows === 1 ? 'one row' : `${numberWords(detail.shown.rows)} rows` }}
          </span>
          <span v-if="busy" role="status" class="quiet">{{ busy }}</span>
          <span v-else-if="lacking" role="alert" class="wrong">{{ lacking }}</span>
          <span v-else-if="detail.fileFault" role="alert" class="wrong fault" :title="detail.fileFault">{{ detail.fileFault }}</span>
          <span
            v-else-if="detail.file"
            class="linked"
            :title="`Saved anew, ${detail.file} in the watched folder is read as the next version.`"
          >
            <UIcon name="i-lucide-link" aria-hidden="true" />
            follows its file
          </span>
          <span
            v-else-if="detail.address"
            class="linked"
            :title="`${detail.address} is asked every few seconds; what is new is the next version.`"
          >
            <UIcon name="i-lucide-link" aria-hidden="true" />
            follows its address
          </span>
          <ViewSwitch class="views" label="What is looked at" :views="views" :value="view" @show="showView" />
          <UDropdownMenu :items="menu">
            <UButton variant="ghost" icon="i-lucide-ellipsis" :aria-label="`More for ${detail.name}`" />
          </UDropdownMenu>
        </header>
        <div v-if="removing" class="ask" role="alert">
          Removed, its charts have nothing to draw any more, and its versions are gone.
          <UButton color="error" variant="solid" @click="remove">Remove it</UButton>
          <UButton @click="removing = false">Cancel</UButton>
        </div>
        <StepsView
          v-if="!drafts && detail && view === 'steps'"
          ref="desk"
          :table="detail"
          :list="list"
          :can-edit="canEdit"
          @open="id => open(id)"
          @draw="showView('draw')"
          @changed="changedHere"
          @begin="steps => makeBySteps('in steps', steps)"
        />
        <DrawIt v-else-if="!drafts && detail && view === 'draw'" :table="detail.id" :can-edit="canEdit" />
        <TellIt v-else-if="!drafts && detail && view === 'tell'" :table="detail.id" :can-edit="canEdit" />
        <UsedIn v-else-if="!drafts && detail && view === 'used'" :table="detail.id" @open="id => open(id)" />
        <ReadingNotes
          v-if="!drafts && detail && view === 'read' && !isTyped"
          :key="detail.id"
          :notes="detail.shown.reading.notes"
          :range="isWorkbook ? (detail.choices.range ?? '') : undefined"
          :can-edit="canEdit"
          @decide="decide"
        />
        <TypedGrid
          v-if="drafts || (detail && view === 'read' && isTyped)"
          :key="gridKey"
          :detail="drafts ? null : detail"
          :name="drafts ? typing : detail!.name"
          @made="typedOne"
          @kept="changedHere"
          @decide="decideColumn"
        />
        <DataGrid
          v-else-if="detail && view === 'read'"
          v-model:order="order"
          :detail="detail"
          :row-at="rowAt"
          :can-edit="canEdit"
          @decide="decideColumn"
        />
      </section>
      <section v-else class="none">
        <template v-if="lacking">
          <p role="alert">{{ lacking }}</p>
          <UButton color="primary" variant="solid" @click="again">Try again</UButton>
        </template>
        <template v-else-if="list.length">
          <p>There is no such table any more. Choose another one on the left.</p>
        </template>
        <template v-else>
          <h2>No tables yet</h2>
          <p class="quiet">
            A file of rows and columns, as CSV, TSV, JSON or a workbook: title lines, totals, dates and money are read as they stand, and
            every guess is shown. Files can be dropped here, and rows of a spreadsheet or of a page pasted.
          </p>
          <p v-if="canEdit" class="pair">
            <UButton color="primary" variant="solid" @click="picker?.open()">Upload a table</UButton>
            <UButton @click="typeOne">Type a table</UButton>
          </p>
        </template>
        <p v-if="busy" role="status" class="quiet">{{ busy }}</p>
      </section>
      <p v-if="over" class="over">Drop files here: each becomes a table</p>
    </main>
    <DataVersions
      v-if="!drafts && detail && view === 'read'"
      :detail="detail"
      :can-edit="canEdit"
      @look="number => open(detail!.id, number)"
      @air="putOnAir"
      @upload="next?.open()"
    />
    <FilePicker ref="picker" multiple :accept="tableFiles" data-test="data-files" @files="take" />
    <FilePicker ref="next" :accept="tableFiles" data-test="data-version" @file="takeVersion" />
  </div>
</template>

<style scoped>
.linked {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  font-size: 13px;
  color: var(--act);
  white-space: nowrap;
}
.fault {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.page {
  height: 100vh;
  display: flex;
  flex-direction: column;
  overflow: hidden;
}
.data {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 208px minmax(0, 1fr);
  position: relative;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.table {
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding: 14px 18px 16px;
  min-height: 0;
  min-width: 0;
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
  min-width: 0;
}
.table h2 {
  font-size: 22px;
  margin: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.file {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 60px;
}
header > :last-child {
  margin-left: auto;
}
.ask {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 8px 12px;
  border-radius: 10px;
  border: 1px solid var(--wrong);
}
.none {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 8px;
  text-align: center;
  max-width: 460px;
  margin: 0 auto;
}
.wrong {
  color: var(--wrong);
}
.none p {
  margin: 0;
}
.over {
  position: absolute;
  inset: 10px;
  margin: 0;
  display: grid;
  place-items: center;
  border: 2px dashed var(--act);
  border-radius: 12px;
  background: color-mix(in srgb, var(--act-wash) 85%, transparent);
  font-size: 17px;
  pointer-events: none;
}
</style>
