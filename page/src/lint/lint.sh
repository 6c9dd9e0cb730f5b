#!/bin/sh
# Looks through the script of the page with a linter from the npm registry: sh page/src/lint/lint.sh
set -eu
cd "$(dirname "$0")/../../.."
folder=page/target/lint
mkdir -p "$folder"
cp page/src/lint/eslint.config.mjs page/src/main/resources/dev/patientharbor/page/page.js "$folder"
cd "$folder"
[ -d node_modules/eslint ] || {
    echo '{ "private": true }' >package.json
    npm install --silent --no-audit --no-fund eslint@9.39.1 @eslint/js@9.39.1 globals@16.5.0
}
npx eslint --max-warnings 0 page.js
