export { FrontDoor as default } from '@/features/account/rooms';
