"""The command line: cages, solids, the service, and its folder. What is wrong gets one clear line and exit code 2."""

from __future__ import annotations

import argparse
import json
import os
import sys
from collections.abc import Sequence
from dataclasses import asdict
from importlib.metadata import version
from pathlib import Path
from typing import NoReturn

from platformdirs import user_data_dir

from zinc_otter.core.errors import CoreError


def main(arguments: Sequence[str] | None = None) -> int:
    """Run one command; the exit code is 0, or 2 when something given was wrong."""
    given = _parser().parse_args(arguments)
    try:
        given.run(given)
        sys.stdout.flush()
    except BrokenPipeError:
        # Whoever read what is printed has had enough. Nothing more is to be said, also not at the end.
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0
    except UnicodeDecodeError:
        return _wrong(f"{given.cage}: this is no text file.")
    except CoreError as error:
        return _wrong(f"{getattr(given, 'cage', given.name)}: {error}")
    except KeyboardInterrupt:
        # Ctrl+C is the way to end it.
        return 0
    except OSError as error:
        return _wrong(f"{error.filename or error}: {error.strerror or 'cannot be used'}.")
    return 0


def _wrong(sentence: str) -> int:
    print(f"zinc-otter: {sentence}", file=sys.stderr)
    return 2


_ANYWAY = "write a body that is incomplete or not sound all the same, and say what is the matter"


class _OneLine(argparse.ArgumentParser):
    """Says in one line what is wrong; how a command is used stands in its help."""

    def error(self, message: str) -> NoReturn:
        self.exit(_wrong(f"{message} (see {self.prog} --help)"))


def _parser() -> argparse.ArgumentParser:
    parser = _OneLine(prog="zinc-otter", description=__doc__)
    parser.add_argument("--version", action="version", version=f"zinc-otter {version('zinc-otter')}")
    commands = parser.add_subparsers(dest="name", required=True)

    surface = commands.add_parser("surface", help="limit surface of an OBJ cage, as an OBJ of quads")
    surface.add_argument("cage", type=Path)
    surface.add_argument("out", type=Path)
    surface.add_argument("--level", type=int, default=3, choices=range(1, 8), help="levels of refinement")
    surface.set_defaults(run=_surface)

    solid = commands.add_parser("solid", help="B-rep solid of an OBJ cage as STEP; prints its certificate as JSON")
    solid.add_argument("cage", type=Path)
    solid.add_argument("out", type=Path)
    solid.add_argument("--as-far-as-it-goes", action="store_true", help=_ANYWAY)
    solid.set_defaults(run=_solid)

    convert = commands.add_parser(
        "convert", help="from file to file by their endings: cages, archives of designs, surfaces (stl, 3mf, glb), step"
    )
    convert.add_argument("cage", type=Path)
    convert.add_argument("out", type=Path)
    convert.add_argument("--piece", help="of an archive with several pieces, the name of the one that is meant")
    convert.add_argument("--unit", default="mm", choices=("mm", "cm", "m", "in"), help="of files that name none")
    convert.add_argument("--merge", type=float, default=1e-4, help="mm within which vertices become one")
    convert.add_argument("--holes", type=int, default=0, help="holes with up to so many edges round are filled")
    convert.add_argument("--pair", action="store_true", help="pair triangles to quads where they fit")
    convert.add_argument("--surface", action="store_true", help="obj and ply as triangles of the body, not as the cage")
    convert.add_argument("--chord", type=float, default=0.05, help="mm between triangles and the surface at most")
    convert.add_argument("--angle", type=float, default=180.0, help="degrees by which the surface may turn in a triangle")
    convert.add_argument("--as-far-as-it-goes", action="store_true", help=_ANYWAY)
    convert.set_defaults(run=_convert)

    serve = commands.add_parser("serve", help="start the application on 127.0.0.1")
    serve.add_argument("--port", type=_port, default=os.environ.get("PORT", "8420"))
    # One place for a user, wherever it is started from.
    data = Path(os.environ.get("ZINC_OTTER_DATA") or user_data_dir("zinc-otter", appauthor=False))
    serve.add_argument("--data", type=Path, default=data)
    serve.add_argument("--demo", action="store_true", help="put the demo designs in, where there are none yet")
    serve.add_argument("--among-others", action="store_true", help="use a folder that holds other things too")
    serve.set_defaults(run=_serve)

    check = commands.add_parser("check", help="look a folder of designs through and say what is whole")
    check.add_argument("--data", type=Path, default=data)
    check.set_defaults(run=_check)

    rescue = commands.add_parser("rescue", help="bring every design that can be read into archives")
    rescue.add_argument("out", type=Path, help="a folder for the archives")
    rescue.add_argument("--data", type=Path, default=data, help="a folder of designs, or the file of a database")
    rescue.set_defaults(run=_rescue)

    openapi = commands.add_parser("openapi", help="print the OpenAPI description of the service")
    openapi.set_defaults(run=_openapi)
    return parser


def _port(text: str) -> int:
    if not text.isdecimal() or int(text) > 65535:
        raise argparse.ArgumentTypeError(
            f"a port is a number from 1 to 65535, or 0 for any that is free, and {text!r} is none"
        )
    return int(text)


def _surface(given: argparse.Namespace) -> None:
    from zinc_otter.core.formats.obj import read_obj, write_obj
    from zinc_otter.core.surface import build_stencils, evaluate

    cage = read_obj(given.cage.read_text("utf-8"))
    stencils = build_stencils(cage, given.level)
    given.out.write_text(write_obj(evaluate(stencils, cage).points, stencils.quads), "utf-8")


def _solid(given: argparse.Namespace) -> None:
    from zinc_otter.convert import solid_of
    from zinc_otter.core.formats.obj import read_obj
    from zinc_otter.core.solid.gate import refuse_unsound
    from zinc_otter.core.solid.recipe import Recipe

    step, certificate = solid_of(Recipe(given.cage.stem, read_obj(given.cage.read_text("utf-8"))))
    if not given.as_far_as_it_goes:
        refuse_unsound(certificate.faults)
    given.out.write_bytes(step)
    print(json.dumps(asdict(certificate), indent=2))


def _convert(given: argparse.Namespace) -> None:
    from zinc_otter.convert import Wishes, convert
    from zinc_otter.core.formats.cages.cleaning import Cleaning

    cleaning = Cleaning(given.merge, given.holes, given.pair)
    wishes = Wishes(given.piece, given.unit, cleaning, given.surface, given.chord, given.angle, given.as_far_as_it_goes)
    for remark in convert(given.cage, given.out, wishes):
        print(f"zinc-otter: {remark}", file=sys.stderr)


def _serve(given: argparse.Namespace) -> None:
    from zinc_otter.api.serve import serve

    serve(given.port, given.data, given.demo, given.among_others)


def _check(given: argparse.Namespace) -> None:
    from zinc_otter.store.checkup import looked_through

    found = looked_through(given.data)
    print("\n".join(found.lines))
    if found.faults:
        raise CoreError(f"{len(found.faults)} things are not whole.")


def _rescue(given: argparse.Namespace) -> None:
    from zinc_otter.store.rescue import rescue

    for line in rescue(given.data, given.out):
        print(line, flush=True)


def _openapi(_: argparse.Namespace) -> None:
    from zinc_otter.api.app import create_app

    print(json.dumps(create_app(None).openapi(), indent=1))


if __name__ == "__main__":
    sys.exit(main())
