import Koa from 'koa';

/** The framework alone, to measure the app against. */
const app = new Koa();
app.use((ctx) => {
  ctx.body = 'ok';
});
app.listen(Number(process.argv[2]), () => process.send?.('up'));
