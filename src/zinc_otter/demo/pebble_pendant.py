"""A pendant: a pebble of the river in a tapered bezel, and a bail of bent wire."""

from __future__ import annotations

from zinc_otter.demo.hand import Hand


def pebble_pendant(hand: Hand) -> None:
    """Built in mm, lying on its back, the bail towards +y."""
    hand.give("add-box", name="Back", size=[15, 19, 2.6], counts=[3, 4, 1], size_of="surface")
    pebble = {"kind": "cabochon", "width": 9.0, "length": 12.0, "dome": 38.0, "girdle": 10.0}
    hand.give("lay-stones", name="Pebble", host="p1", cut=pebble, material="moonstone", points=[[0, -0.6, 1.3]], sink=-0.25)
    hand.give("add-curve", name="Loop", shape="circle", diameter=4.6, count=8, centre=[0, 10.6, 0], stands="x")
    hand.give("grow", name="Bail", growth={"kind": "pipe", "source": "p3", "diameter": 1.6, "each": 2})
    bezel = {"kind": "bezel", "stones": "p2", "wall": 0.7, "over": 1.0, "ledge": 0.6, "taper": 6.0}
    for follower in ({"kind": "combine", "way": "union", "body": {"kind": "piece", "piece": "p4"}}, bezel):
        hand.give("add-follower", piece="p1", follower=follower)
