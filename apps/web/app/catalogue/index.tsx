export { CataloguePage as default } from '../../src/features/catalogue/CataloguePage';
