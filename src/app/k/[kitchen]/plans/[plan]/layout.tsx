import { whereThereIs } from '@/app/where-there-is'

export default whereThereIs('plan')
