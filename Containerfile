# One image: the app and its server. See docs/running.md.
FROM docker.io/library/node:20-bookworm-slim AS build
WORKDIR /steddo
COPY package.json package-lock.json ./
COPY apps apps
COPY packages packages
COPY scripts scripts
RUN npm ci --no-audit --no-fund && node scripts/build.mjs && npm prune --omit=dev --no-audit --no-fund

FROM docker.io/library/node:20-bookworm-slim
ENV NODE_ENV=production STEDDO_DB=/data/steddo.db STEDDO_WEB=/steddo/apps/web/dist
WORKDIR /steddo
COPY --from=build /steddo/node_modules node_modules
COPY --from=build /steddo/apps/server/dist apps/server/dist
COPY --from=build /steddo/apps/server/drizzle apps/server/drizzle
COPY --from=build /steddo/apps/web/dist apps/web/dist
RUN mkdir /data && chown node /data
USER node
VOLUME /data
EXPOSE 4810
HEALTHCHECK CMD node -e "fetch('http://127.0.0.1:4810/health').then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))"
ENTRYPOINT ["node", "apps/server/dist/main.mjs"]
