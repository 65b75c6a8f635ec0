export { termsIn, type Found } from './find';
export { GLOSSARY, type Term } from './glossary';
