/** A film is moved as a picture is: by its spot. */
export { default } from '../image/drag';
