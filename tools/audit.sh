#!/usr/bin/env bash
# Asks the registry for known faults of the packages that the program runs with; one that does not answer says so and fails nothing.
told=$(npm audit --omit=dev --audit-level=high 2>&1)
code=$?
if [ "$code" -ne 0 ] && grep -q 'audit endpoint returned an error\|ENOTFOUND\|ECONNREFUSED\|ETIMEDOUT' <<<"$told"; then
  echo "  The registry gives no advisories here: packages were not audited."
  exit 0
fi
echo "$told" | tail -n 12
exit "$code"
