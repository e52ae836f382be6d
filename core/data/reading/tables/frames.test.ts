import { describe, expect, it } from 'vitest'
import { asRead, writtenTables } from '../../../testing'

const tables = writtenTables(`
# a title above the header
Boardings by stop,,
stop,east,west
Quill,12,9
Harrow,7,8
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! One line above the header is a *title*.

# a title, a source and an empty line
Boardings by stop
Source: quay desk

stop,east,west
Quill,12,9
Harrow,7,8
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! Two lines above the header are *title and source*

# a source below
stop,east,west
Quill,12,9
Harrow,7,8

Source: quay desk
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! One line below the rows is a *note*.

# a note below, without an empty line
stop,east,west
Quill,12,9
Harrow,7,8
* counted by hand,,
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! is a *note*

# two header rows
,Spring,,Summer,
stop,boats,riders,boats,riders
Quill,12,900,14,1200
Harrow,7,800,9,1100
=> stop | place | Quill, Harrow
=> Spring boats | number | 12, 7
=> Spring riders | number | 900, 800
=> Summer boats | number | 14, 9
=> Summer riders | number | 1200, 1100
!! Two header rows are *joined*, “Spring” and “boats”

# two header rows, the first column named above
stop,Spring,,Summer,
,boats,riders,boats,riders
Quill,12,900,14,1200
Harrow,7,800,9,1100
=> stop | place | Quill, Harrow
=> Spring boats | number | 12, 7
=> Spring riders | number | 900, 800
=> Summer boats | number | 14, 9
=> Summer riders | number | 1200, 1100

# units below the names
stop,takings,on time
,€,%
Quill,1240,96
Harrow,560,88
=> stop | place | Quill, Harrow
=> takings | money € | 1240, 560
=> on time | percent % | 0.96, 0.88

# a title above two header rows
Boardings,,
,Spring,
stop,boats,riders
Quill,12,900
Harrow,7,800
=> stop | place | Quill, Harrow
=> Spring boats | number | 12, 7
=> Spring riders | number | 900, 800

# no header
Quill,12,9
Harrow,7,8
Saltworks,5,6
=> Column 1 | text | Quill, Harrow, Saltworks
=> Column 2 | number | 12, 7, 5
=> Column 3 | number | 9, 8, 6
!! The first row is *data*

# a column without a name
stop,,west
Quill,12,9
Harrow,7,8
=> stop | place | Quill, Harrow
=> Column 2 | number | 12, 7
=> west | number | 9, 8
!! One column without a name is *named by its place*

# rows longer than the header
stop,east
Quill,12,9
Harrow,7,8
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> Column 3 | number | 9, 8
!! One column without a name

# rows shorter than the header
stop,east,west
Quill,12,9
Harrow,7
Saltworks,5,6
=> stop | place | Quill, Harrow, Saltworks
=> east | number | 12, 7, 5
=> west | number | 9, ∅, 6

# the same name twice
stop,riders,riders
Quill,12,9
Harrow,7,8
=> stop | place | Quill, Harrow
=> riders | number | 12, 7
=> riders 2 | number | 9, 8
!! “riders” names more than one column

# an empty column between
stop,,riders
Quill,,9
Harrow,,8
=> stop | place | Quill, Harrow
=> riders | number | 9, 8

# empty columns before and behind
,stop,riders,
,Quill,9,
,Harrow,8,
=> stop | place | Quill, Harrow
=> riders | number | 9, 8

# empty rows between
stop,east,west
Quill,12,9

Harrow,7,8

Saltworks,5,6
=> stop | place | Quill, Harrow, Saltworks
=> east | number | 12, 7, 5
=> west | number | 9, 8, 6

# the header again, as on each printed page
stop,east,west
Quill,12,9
stop,east,west
Harrow,7,8
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! One row that is the header again was *left out*

# another table below
stop,east,west
Quill,12,9
Harrow,7,8

berth,boats,crew
A,2,14
B,3,21
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! Another table begins below an empty row; its 3 rows are *not read*

# one column of words
stop
Quill
Harrow
=> stop | place | Quill, Harrow

# one column of numbers
riders
12
9
=> riders | number | 12, 9

# words alone, in several columns
stop,shore,pier
Quill,east,A
Harrow,west,B
=> stop | place | Quill, Harrow
=> shore | text | east, west
=> pier | place | A, B

# tabs
stop\teast\twest
Quill\t12\t9
Harrow\t7\t8
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8

# bars
stop|east|west
Quill|12|9
Harrow|7|8
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8

# line breaks in a name
stop,"on
time",west
Quill,12,9
Harrow,7,8
=> stop | place | Quill, Harrow
=> on time | number | 12, 7
=> west | number | 9, 8

# quotation marks in a cell
stop,note
Quill,"the ""old"" pier"
Harrow,"wet, cold"
=> stop | place | Quill, Harrow
=> note | text | the "old" pier, wet, cold

# one row
stop,east,west
Quill,12,9
=> stop | place | Quill
=> east | number | 12
=> west | number | 9

# a title that is as wide as the table
Boardings,in 2031
stop,riders
Quill,12
Harrow,7
=> Boardings | text | stop, Quill, Harrow
=> in 2031 | text | riders, 12, 7
`)

describe('tables as people lay them out', () => {
  it.each(tables)('$title', table => expect(asRead(table)).toEqual(table))
})
