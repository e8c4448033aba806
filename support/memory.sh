# How memory is asked for and given back, by whoever serves and whoever works beside.
# Threads that each keep memory of their own never give it back.
export MALLOC_ARENA_MAX="${MALLOC_ARENA_MAX:-2}"
# A page is a large text that lives for a moment: it goes back where it came from, and leaves no hole.
export MALLOC_MMAP_THRESHOLD_="${MALLOC_MMAP_THRESHOLD_:-65536}"
export MALLOC_TRIM_THRESHOLD_="${MALLOC_TRIM_THRESHOLD_:-131072}"
