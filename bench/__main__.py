"""Print how long stencils, evaluation and drags take, as ratios to Debian's libosd in the same run.

Run it by `make bench` on an otherwise idle machine; every figure is the best of several repeats.
"""

from __future__ import annotations

from dataclasses import replace
from functools import partial
from pathlib import Path

import numpy as np

from bench import front_end, growing, interface, keeping, proofs, relief, scans, stones, verbs
from bench.timing import REPEATS, best
from tests.reference import opensubdiv
from zinc_otter.api.bodies import QUICK, Bodies
from zinc_otter.api.live.packing import pack
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives import box, patched_sphere
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.solid.brep import build_solid
from zinc_otter.core.solid.exact import Cylinder
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.followers import Combine, Fillet, Hollow, Trim
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.patches import volume_and_area
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.surface import build_stencils, evaluate, plan_drag
from zinc_otter.core.surface.limit_surface import normals_of
from zinc_otter.studio.design import Design, Piece

LEVEL = 3


def cages() -> list[Cage]:
    """Closed cages of about 100, 600 and 2,000 faces, a little shaken."""
    made = []
    for count in (4, 10, 18):
        plain = box((40, 40, 40), (count, count, count))
        noise = np.random.default_rng(1).uniform(-0.2, 0.2, plain.positions.shape)
        made.append(plain.with_positions(plain.positions + noise))
    return made


def fresh(cage: Cage) -> Cage:
    """The same cage with nothing cached, so that a build is measured whole."""
    t = cage.topology
    return Cage(cage.positions, type(t)(t.vertex_count, t.face_verts, t.face_offsets))


def stencils_and_evaluation(cage: Cage) -> None:
    their_build, their_apply = opensubdiv.seconds(cage, LEVEL, REPEATS)
    build = best(lambda: build_stencils(fresh(cage), LEVEL))
    with_limit = best(lambda: build_stencils(fresh(cage), LEVEL).limit)
    stencils = build_stencils(cage, LEVEL)
    refine = best(lambda: stencils.refined(cage.positions))
    full = best(lambda: evaluate(stencils, cage).normals)
    print(f"{cage.topology.face_count:6} faces, {stencils.vertex_count} dense vertices; "
          f"reference builds in {1e3 * their_build:.1f} ms, applies in {1e3 * their_apply:.2f} ms")  # fmt: skip
    print(f"       build, refined positions           {build / their_build:6.2f} x reference")
    print(f"       build, with limit and tangents     {with_limit / their_build:6.2f} x reference")
    print(f"       evaluate, refined positions        {refine / their_apply:6.2f} x reference")
    print(f"       evaluate, limit, tangents, normals {full / their_apply:6.2f} x reference's refined positions alone")
    base = evaluate(stencils, cage)
    for name, moved in (("one vertex", np.array([0])), ("half", np.flatnonzero(cage.positions[:, 0] > 0))):
        plan = plan_drag(stencils, moved.astype(np.int32))
        shift = np.full((len(moved), 3), 0.1)

        def drag(plan=plan, shift=shift) -> None:  # type: ignore[no-untyped-def]
            normals_of(*plan.apply(base, shift)[1:])

        planning = best(partial(plan_drag, stencils, moved.astype(np.int32)), 3)
        print(f"       drag of {name:10}                 {best(drag) / full:6.3f} x full evaluation; "
              f"planned once in {planning / full:.2f}")  # fmt: skip


def frames(cage: Cage) -> None:
    """What one frame of a drag costs the server, and how large it is on the wire."""
    for name, moved in (("one vertex", np.array([0])), ("half", np.flatnonzero(cage.positions[:, 0] > 0))):
        view = LiveView(StencilShelf())
        design = Design((Piece("p1", "Form", cage),), 2)
        whole = len(pack(view.frame(design)))
        sizes: list[int] = []

        def drag(view=view, moved=moved, sizes=sizes) -> None:  # type: ignore[no-untyped-def]
            positions = cage.positions.copy()
            positions[moved] += 0.1 * (len(sizes) + 1)
            frame = view.frame(Design((Piece("p1", "Form", cage.with_positions(positions)),), 2))
            sizes.append(len(pack(frame)))

        drag()
        print(f"       frame, {name:10}  {1e3 * best(drag):7.2f} ms, {sizes[-1] / 1024:8.1f} kB "
              f"(the whole piece: {whole / 1024:.0f} kB)")  # fmt: skip


def near_a_component(cage: Cage) -> None:
    """What telling the clearance to a component adds to a frame."""
    base = best(partial(evaluate, build_stencils(cage, LEVEL), cage))
    ball = patched_sphere(20, 8)
    quads = ball.topology.face_verts.reshape(-1, 4)
    mesh = MeshDistance(ball.positions, np.concatenate([quads[:, :3], quads[:, [0, 2, 3]]]))
    points = evaluate(build_stencils(cage, LEVEL), cage).points
    part = points[:: -(-len(points) // 3000)]
    print(f"       clearance while dragging           {best(partial(mesh.signed, part)) / base:6.2f} x full evaluation")


def solids() -> None:
    print("Solids, as ratios to evaluating the same cage at level 4")
    for count in (2, 4, 9):
        cage = box((40, 40, 40), (count, count, count))
        stencils = build_stencils(cage, 4)
        base = best(partial(evaluate, stencils, cage))
        fit = best(partial(fit_patches, cage, 4), 3)
        patches = fit_patches(cage, 4)
        measure = best(partial(volume_and_area, patches), 3)
        build = best(partial(build_solid, patches), 2)
        print(f"{cage.topology.face_count:6} faces: fit {fit / base:5.1f}, exact volume {measure / base:5.1f}, "
              f"B-rep with its check {build / base:5.1f}   ({1e3 * build:.0f} ms)")  # fmt: skip


def followed() -> None:
    """How far the body of a piece with followers is behind the hand, and a change to the last of them alone."""
    print("Bodies of triangles with union, fillet, hollow and trim, as shown in a drag; ratios to evaluating at level 4")
    for count in (2, 4, 9):
        cage = box((40, 40, 40), (count, count, count))
        base = best(partial(evaluate, build_stencils(cage, 4), cage))
        steps = (
            Combine("c", body=Cylinder((0, 0, 10), (0, 0, 1), 8, 20)), Fillet("f", between=("c", "piece"), radius=3),
            Hollow("h", wall=2), Trim("t", normal=(1, 0, 0)),
        )  # fmt: skip
        recipe = Recipe("Bench", cage, steps)
        shelf = StencilShelf()
        whole = best(lambda r=recipe, s=shelf: made_of_triangles(r, *QUICK, stencils=s.get), 2)  # type: ignore[misc]
        bodies = Bodies(Path("nowhere"), shelf.get)
        bodies.get(recipe, QUICK)
        moved = iter(range(1, 99))

        def change(recipe=recipe, bodies=bodies, moved=moved) -> None:  # type: ignore[no-untyped-def]
            last = Trim("t", point=(0.1 * next(moved), 0, 0), normal=(1, 0, 0))
            bodies.get(replace(recipe, followers=(*recipe.followers[:-1], last)), QUICK)

        last = best(change, 3)
        print(f"{cage.topology.face_count:6} faces: all anew {whole / base:6.1f}   ({1e3 * whole:.0f} ms), "
              f"the last alone {last / base:6.1f}   ({1e3 * last:.0f} ms)")  # fmt: skip


def main() -> None:
    print(f"Surfaces at level {LEVEL}")
    for cage in cages():
        stencils_and_evaluation(cage)
        frames(cage)
        near_a_component(cage)
    verbs.main()
    growing.main()
    stones.main()
    proofs.main()
    scans.main()
    relief.main()
    solids()
    followed()
    keeping.main()
    interface.main()
    front_end.run()


if __name__ == "__main__":
    main()
