export { PhysicalDialog } from './PhysicalDialog';
export { PhysicsCard } from './PhysicsCard';
