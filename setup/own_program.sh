# A program that was built, to be started and killed on a database of its own, in a folder that goes away. Sourced, after
# common.sh and database.sh.

program=$(target_dir)/release/honey-ladder
[[ -x $program ]] || die "The program is not built yet. Run ./start once."
[[ -f web/dist/index.html ]] || die "The front end is not built yet. Run ./start once."
need curl curl

work=$(mktemp -d)
served=
over() {
  [[ -n $served ]] && kill -9 "$served" 2>/dev/null
  database_stop
  rm -rf "$work"
}
trap over EXIT
trap 'exit 130' INT TERM
