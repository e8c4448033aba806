# How memory is asked for and given back, by whoever serves and whoever works beside.
# jemalloc leaves no holes that stay: an hour's load ends with what its second minute began with. The machine's own way
# grows a little for an hour before it is level, and is there for whoever hasn't got the other.
jemalloc="/usr/lib/$(uname -m)-linux-gnu/libjemalloc.so.2"
if [ -e "$jemalloc" ] && [ -z "${LD_PRELOAD:-}" ]; then
  export LD_PRELOAD="$jemalloc" MALLOC_CONF="${MALLOC_CONF:-narenas:2,dirty_decay_ms:1000,muzzy_decay_ms:0}"
fi
# Threads that each keep memory of their own never give it back.
export MALLOC_ARENA_MAX="${MALLOC_ARENA_MAX:-2}"
# A page is a large text that lives for a moment: it goes back where it came from, and leaves no hole.
export MALLOC_MMAP_THRESHOLD_="${MALLOC_MMAP_THRESHOLD_:-65536}"
export MALLOC_TRIM_THRESHOLD_="${MALLOC_TRIM_THRESHOLD_:-131072}"
