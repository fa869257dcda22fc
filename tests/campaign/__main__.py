"""``python -m tests.campaign 6`` runs all campaigns for six minutes together; ``python -m tests.campaign kills 10 7`` one of
them for ten, with a seed. Whatever breaks stops it with what it was."""

import random
import sys

from . import boards, claims, cuts, doors, kills, regions, tabs

CAMPAIGNS = {
    "boards": boards.campaign, "kills": kills.campaign, "tabs": tabs.campaign, "doors": doors.campaign, "claims": claims.campaign,
    "regions": regions.campaign, "cuts": cuts.campaign,
}  # fmt: skip


def main() -> None:
    """Run what is asked for."""
    words = sys.argv[1:]
    asked = [words.pop(0)] if words and words[0] in CAMPAIGNS else list(CAMPAIGNS)
    minutes = float(words[0]) if words else 4.0
    seed = int(words[1]) if len(words) > 1 else random.randrange(10**6)
    for name in asked:
        print(f"{name}: the same again with “python -m tests.campaign {name} {minutes / len(asked):g} {seed}”", flush=True)
        print(f"{name}: {CAMPAIGNS[name](60 * minutes / len(asked), random.Random(seed))}; nothing broke", flush=True)


if __name__ == "__main__":
    main()
