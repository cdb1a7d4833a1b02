/** Work on whole files, each a job that crosses to a thread and back as plain data. */
export { sheetPdf } from './sheet-pdf'
export { takeWhole } from './whole-in'
export { writeWhole } from './whole-out'
