#!/bin/sh
# Looks through the script of the page, as the page has it, with a linter from the npm registry:
# sh page/src/lint/lint.sh
set -eu
cd "$(dirname "$0")/../../.."
folder=page/target/lint
mkdir -p "$folder"
cp page/src/lint/eslint.config.mjs "$folder"
./patient-harbor report examples/port.harbor.yaml --out "$folder/page.html" 2>/dev/null
# The last script of the page; the one before it is data.
sed -n '/^<script>$/,/^<\/script>$/p' "$folder/page.html" | sed '1d;$d' >"$folder/page.js"
cd "$folder"
[ -d node_modules/eslint ] || {
    echo '{ "private": true }' >package.json
    npm install --silent --no-audit --no-fund eslint@9.39.1 @eslint/js@9.39.1 globals@16.5.0
}
npx eslint --max-warnings 0 page.js
