export { OneMoment as default } from '@/ui/shell/one-moment'
