export { termsIn, type TermAt } from './find';
export { GLOSSARY, type Term } from './glossary';
