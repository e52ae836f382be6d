import { expect, it } from 'vitest'
import { initialsOf } from './index'

it.each([
  ['Ines Rahm', 'IR'],
  ['Ines Rahm, harbour office', 'IR'],
  ['Dr. Mara van der Ellin', 'ME'],
  ['Prof. Dr. Jon Tarn (quay 2)', 'JT'],
  ['Ellin', 'E'],
  ['Åse Østby', 'ÅØ'],
  ['de la Cruz', 'C'],
  ['mara ellin', 'ME'],
  ['Jean-Luc Morel', 'JM'],
  ['李小龙', '李'],
  ['إيناس رحم', 'إر'],
  ['318 people', ''],
  ['', ''],
])('the initials of “%s” are “%s”', (name, initials) => {
  expect(initialsOf(name)).toBe(initials)
})
