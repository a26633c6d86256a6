#!/usr/bin/env bash
# From an empty account to a published question and its results, with an access token of all four scopes.
#   URL=http://127.0.0.1:4321 TOKEN=vault_drop_… docs/api/example.sh
set -euo pipefail
: "${URL:?}" "${TOKEN:?}"

uuid() { cat /proc/sys/kernel/random/uuid; }
# ask METHOD PATH [BODY]: an answer that is not ok ends the script with what it says.
ask() {
  curl --silent --show-error --fail-with-body --request "$1" "$URL$2" \
    --header "Authorization: Bearer $TOKEN" --header 'Content-Type: application/json' --write-out '\n' ${3:+--data "$3"}
}

# Ids are ours: a request that is sent again makes nothing twice.
question=$(uuid) course=$(uuid) release=$(uuid)

# The example of a kind is a whole question; edits would change it (POST /api/questions/{id}/edits).
ask POST /api/questions "{\"id\": \"$question\", \"shelfId\": null, \"example\": \"sort\"}"

ask POST /api/courses "{\"id\": \"$course\", \"title\": \"Seed keepers\"}"
ask POST "/api/courses/$course/learners" \
  "{\"name\": \"Pippa Lorne\", \"username\": \"pippa.${course:0:8}\", \"password\": \"a-jar-of-barley-26\"}"

# Publishing freezes the question. Its model answer is found by a job, if learners may see one.
ask POST /api/releases "{\"id\": \"$release\", \"courseId\": \"$course\", \"questionId\": \"$question\", \"revision\": 1}"
until ask GET "/api/courses/$course" | grep --quiet "$release"; do sleep 0.2; done

# How it was answered; nobody has yet.
ask GET "/api/releases/$release/results"
ask GET "/api/courses/$course/gradebook"
