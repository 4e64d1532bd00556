export { cutListCsv, cutListText, type ListOrder } from './cut-list'
export { designFile, fileName } from './design-file'
export { planFile } from './plan-file'
export { drawingSvg } from './svg'
