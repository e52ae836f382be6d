/**
 * Pictures that a team has, chosen by words.
 *
 * @example
 * import { choosePictures } from 'core/pictures'
 *
 * const library = [{ name: 'Night ferry.jpg', tags: ['ferry', 'night'], folder: 'Harbour', width: 1600, height: 1000 }]
 * const [found] = choosePictures(library, [{ words: 'The night ferry begins', person: false, shape: 1.6 }])
 * found!.map(({ name }) => name) // → ['Night ferry.jpg']
 */
export { choosePictures, type Asked, type LibraryPicture } from './choose'
