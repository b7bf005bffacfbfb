#!/usr/bin/env bash
# Makes the demo project's footage anew from the scenes beside it: what moves in it, and how, is in
# their keyframes and sways. It needs ./roving to be built, and ffmpeg.
set -euo pipefail
cd "$(dirname "$0")/.."
made=$(mktemp -d)
trap 'rm -rf "$made"' EXIT

# Wind: noise that is soft above, and swells and sinks. Waves the same, slower and deeper.
wind='anoisesrc=color=brown:seed=7:amplitude=0.5:sample_rate=48000,highpass=f=120,tremolo=f=0.25:d=0.7'
waves='anoisesrc=color=pink:seed=3:amplitude=0.25:sample_rate=48000,lowpass=f=900,tremolo=f=0.3333:d=0.9'

footage() {
  local name=$1 sound=$2 seconds=$3
  ./roving render "demo/footage/$name.json" "$made/$name.mp4" --pictures demo/pictures
  ffmpeg -v error -y -i "$made/$name.mp4" -f lavfi -t "$seconds" -i "$sound" \
    -c:v libx264 -preset slow -crf 24 -g 50 -pix_fmt yuv420p -colorspace bt709 -color_primaries bt709 \
    -color_trc bt709 -color_range tv -c:a aac -b:a 64k -ac 1 -movflags +faststart \
    -fflags +bitexact -flags +bitexact -map_metadata -1 "demo/footage/$name.mp4"
}

footage dunes-at-dusk "$wind" 6.4
footage pier-at-dusk "$waves" 6
footage harbour-at-dawn "$waves" 8

# Scenes name them by these ids: they are to be put into demo/*.json.
for f in demo/footage/*.mp4; do
  echo "$f footage-$(sha256sum "$f" | cut -c1-20)"
done
