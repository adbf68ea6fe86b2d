# Writes the digest of core's own sources where it is packed with its classes. Names and contents both count, times do not.
set -euo pipefail
mkdir -p target/classes/app/leeward/core
find src/main/java -name '*.java' | LC_ALL=C sort | xargs sha256sum | sha256sum | cut -c1-64 >target/sources.new
cmp -s target/sources.new target/classes/app/leeward/core/sources.sha256 || cp target/sources.new target/classes/app/leeward/core/sources.sha256
