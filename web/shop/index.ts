export { ShopPage } from './ShopPage.tsx';
