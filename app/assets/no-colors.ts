/** In place of Tailwind's palette: all colours of the interface stand in `main.css`, and a page need not carry others by number. */
export default {}
