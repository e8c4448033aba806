# Sourced: a command tells what it says of itself at its head to whoever asks, and to whoever asks for what it doesn't
# know.
told() { sed -n '2,/^[^#]/s/^# \{0,1\}//p' "$0"; }
not_known() { told >&2; exit 64; }
case "${1:-}" in -h|--help) told; exit ;; esac
