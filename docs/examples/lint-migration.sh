#!/bin/sh
# Lints a migration before it is merged: applies it to a scratch database with the schema as it is, and fails where the schema
# got worse by it. For any CI that has psql, Node and a PostgreSQL to spare.
#
#   PGHOST=… PGUSER=… PGPASSWORD=… lint-migration.sh SCHEMA.sql MIGRATION.sql
#
# SCHEMA.sql is what `pg_dump --schema-only` wrote of production, or all migrations so far. The role may create databases.
# Exits with 0 where nothing is worse, with 1 where something is; what is new stands in lint.md, lint.sarif and lint.xml.
set -eu

schema=$1
migration=$2
pawl=${PAWL:-npx pawl}
scratch="lint_$$"
folder=$(mktemp -d)
address="postgresql://${PGUSER}@${PGHOST}:${PGPORT:-5432}/${scratch}"

psql -d postgres -q -c "create database ${scratch}"
trap 'psql -d postgres -q -c "drop database ${scratch}"; rm -rf "${folder}"' EXIT

psql -d "${scratch}" -q -v ON_ERROR_STOP=1 -f "${schema}" > /dev/null
${pawl} survey "${address}" --depth catalogue --json "${folder}/before.json"

psql -d "${scratch}" -q -v ON_ERROR_STOP=1 --single-transaction -f "${migration}" > /dev/null
${pawl} survey "${address}" --depth catalogue --against "${folder}/before.json" --fail-on "${FAIL_ON:-new}" \
  --markdown lint.md --sarif lint.sarif --junit lint.xml
