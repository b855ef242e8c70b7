/** Made by `make types` from the service's description; not to be changed by hand. */
export interface paths {
    "/api/designs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Designs
         * @description All designs but those in the bin, the one changed last first.
         */
        get: operations["list_designs"];
        put?: never;
        /**
         * Create Design
         * @description Begin an empty design.
         */
        post: operations["create_design"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/bin": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Bin
         * @description The designs in the bin, the one put there last first.
         */
        get: operations["list_bin"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/bin/{design_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Put In Bin
         * @description Put a design into the bin: it stays as it is, and can be put back.
         */
        put: operations["put_in_bin"];
        post?: never;
        /**
         * Put Back
         * @description Take a design out of the bin again.
         */
        delete: operations["put_back"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/archive": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Download Archive
         * @description The design as it stands as one file; its layout is in docs/archive.md.
         */
        get: operations["download_archive"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/archives": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open Archive
         * @description A new design from an archive (the body).
         */
        post: operations["open_archive"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Design
         * @description The design as it stands, without arrays. Its revision is its ETag: one that is known is not sent again.
         */
        get: operations["get_design"];
        put?: never;
        post?: never;
        /**
         * Delete Design
         * @description Delete a design with all its steps, and what was made of it, for good.
         */
        delete: operations["delete_design"];
        options?: never;
        head?: never;
        /**
         * Change Design
         * @description Rename the design, or show it in another unit.
         */
        patch: operations["change_design"];
        trace?: never;
    };
    "/api/designs/{design_id}/copy": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Copy Design
         * @description A new design that begins where this one stands.
         */
        post: operations["copy_design"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/picture.png": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Picture
         * @description A small picture of the design.
         */
        get: operations["get_picture"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/steps": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Earlier Steps
         * @description Steps of the list with numbers under ``before``, the last of them: those that the design itself does not tell.
         */
        get: operations["earlier_steps"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/thin": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Thin Steps
         * @description Forget all steps but the last ``keep`` up to the present one, for good. The form stays as it is.
         */
        post: operations["thin_steps"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/commands": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Apply Command
         * @description Apply a command at a revision, as one step.
         */
        post: operations["apply_command"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/preview": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Preview Command
         * @description What a command would lead to; nothing is kept.
         */
        post: operations["preview_command"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo */
        post: operations["undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/redo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Redo */
        post: operations["redo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/go-to": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Go To Step
         * @description Make a step of the list the present one.
         */
        post: operations["go_to_step"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Add Picture
         * @description Lay a PNG, JPEG or WebP file (the body) on the plane of a flat view, as one step.
         */
        post: operations["add_picture"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/components": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Add Component
         * @description Put down an STL, OBJ, PLY, GLB, 3MF or STEP file (the body) as a component to build around, or as a scan to lie on,
         *     as one step. Under the name that ``watch`` gives how far it is can be asked for meanwhile, and it can be stopped.
         */
        post: operations["add_component"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/reading/{watch}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Reading
         * @description How far a file is that is being read in; null where none of this name is.
         */
        get: operations["get_reading"];
        put?: never;
        post?: never;
        /**
         * Stop Reading
         * @description Stop reading a file in: whoever sent it is told so, and nothing was changed.
         */
        delete: operations["stop_reading"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/scans": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Scan Piece
         * @description Let the simulated scanner look at a piece, and put its scan down as a component, as one step.
         */
        post: operations["scan_piece"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/stands": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Put Up Stand
         * @description Put a stand down under what is shown, or through the bore of a piece, as one step.
         */
        post: operations["put_up_stand"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/baked": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Bake Piece
         * @description The surface of a piece with all of its relief, as triangles in a component where it stands, as one step.
         *
         *     As it was at an earlier step nothing keeps clear of it: it is there to be measured against.
         */
        post: operations["bake_piece"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/components/{reference}/cleaned": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Clean Component
         * @description Clean a scan up: loose parts left out, spikes laid back, small holes closed; one step that says how many.
         */
        post: operations["clean_component"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/assets/{digest}/picture.png": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Reference Picture
         * @description The contents of a reference picture. They never change, so they may be kept for ever.
         */
        get: operations["get_reference_picture"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/assets/{digest}/mesh": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Mesh
         * @description What is drawn of a component as MessagePack: ``positions`` in mm (float32) and ``triangles`` (int32).
         *
         *     Of a large one this is a mesh of fewer triangles; distances are measured to all of them.
         */
        get: operations["get_mesh"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/assets/{digest}/flow": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Flow
         * @description Strokes along the lines of curvature of a component's mesh and across them, as MessagePack: ``strokes`` in mm
         *     (float32), six numbers each. Found on the mesh that is drawn.
         */
        get: operations["get_flow"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/assets/{digest}/sharp-lines": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Sharp Lines
         * @description The lines at which a component's mesh turns by so many degrees or more, noise or not, as MessagePack: ``strokes`` in
         *     mm (float32), six numbers each. Found on the mesh that is drawn.
         */
        get: operations["get_sharp_lines"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/cage-files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Examine Cage File
         * @description Read an OBJ, PLY, USD, STL, GLB or 3MF file (the body) as a cage: what was set right, the command for it.
         */
        post: operations["examine_cage_file"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/solid-files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Keep Solid File
         * @description Keep a STEP file (the body) with closed solids, to be combined with; answers the asset that a follower names.
         */
        post: operations["keep_solid_file"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/curve-files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Examine Curve File
         * @description Read an SVG or DXF file (the body) as curves, and the command for them.
         */
        post: operations["examine_curve_file"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/curves-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Download Curves
         * @description Curves in a file at real size, in mm. Raises BadSelectionError where there is none.
         */
        get: operations["download_curves"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/cage": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Get Cage */
        get: operations["get_cage"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/surface": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Surface
         * @description The limit surface at a level, with all of its relief, at the level's places. Refused where it would be too large to
         *     send as text.
         */
        get: operations["get_surface"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/curves": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Get Curves
         * @description Curves on a piece's surface, sampled evenly, with how they bend.
         */
        post: operations["get_curves"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/number": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Number
         * @description The value of an expression with units, such as ``3/8 in``; a bare length is taken in ``unit``.
         */
        get: operations["get_number"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/beginnings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Beginnings
         * @description What the parameters of a command begin with, where that follows from what is in hand.
         */
        post: operations["beginnings"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/pick": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Pick
         * @description What a rule picks on a piece, given what is picked.
         */
        post: operations["pick"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/solid": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin Solid
         * @description Begin to make the solid of a piece with its followers. What stays open is refused, its open edges named.
         */
        post: operations["begin_solid"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/fillet-finder": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin Finder
         * @description Begin to look for the largest radius that holds on edges of a piece's body; the job's result is found by its key.
         */
        post: operations["begin_finder"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/materials": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Materials
         * @description Materials with their densities and where these are from.
         */
        get: operations["list_materials"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/found/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Found
         * @description What the finder found; null while it has not.
         */
        get: operations["get_found"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/jobs/{job_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Get Job */
        get: operations["get_job"];
        put?: never;
        post?: never;
        /**
         * Cancel Job
         * @description Stop a job. What it would have changed stays as it was.
         */
        delete: operations["cancel_job"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/certificate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Certificate
         * @description The certificate of the solid made of the piece as it is now, else of its triangles; null while there is none.
         */
        get: operations["get_certificate"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/certificate-page": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Certificate As Page
         * @description The certificate as one page to read.
         */
        get: operations["certificate_as_page"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/solid.step": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Download Step
         * @description The solid as STEP AP242, in millimetres.
         */
        get: operations["download_step"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/cage-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Download Cage
         * @description The control cage as a file, in millimetres: with creases, corners and face sets, which OBJ has no place for.
         */
        get: operations["download_cage"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/triangles-certificate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin Triangles Certificate
         * @description Begin to measure the body by triangles, as it would be written: where the kernel makes no solid of it, or to print.
         */
        post: operations["begin_triangles_certificate"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/triangles": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin Triangles
         * @description Begin to make the body by triangles: once it is done they are counted, and files of them are quick.
         */
        post: operations["begin_triangles"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/surface-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Download Surface
         * @description The closed surface of a piece with its followers as triangles; millimetres, but metres where the format is so.
         */
        get: operations["download_surface"];
        put?: never;
        /**
         * Begin Surface
         * @description Begin to write the file in a worker, with progress and cancel; it is fetched by its key.
         */
        post: operations["begin_surface"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/files/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Fetch File
         * @description A file that was written, under a name.
         */
        get: operations["fetch_file"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/outline.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Download Outline
         * @description The silhouette of a flat view as SVG at full size.
         */
        get: operations["download_outline"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/surface-facts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Surface Facts
         * @description How many triangles a chord tolerance takes, and about how large each kind of file would be.
         *
         *     With followers both are estimates, by the triangles of the body as it is shown, until it was made as fine as asked.
         *     Null for a piece that is open.
         */
        get: operations["surface_facts"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/solids-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin Solids File
         * @description Begin to write the solids of all pieces that are shown into one file, in the design's unit; fetched by its key.
         */
        post: operations["begin_solids_file"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/print-bench": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Hand Over
         * @description Hand the piece over as 3MF. The bench is simulated: it stands for the real machine.
         */
        post: operations["hand_over"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/print-bench/layer.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Layer
         * @description One layer as SVG; ``of`` only tells one form's picture from another's.
         */
        get: operations["get_layer"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/processes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Processes
         * @description Ways to make a piece of metal, and what each asks for.
         */
        get: operations["list_processes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/casting": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Prove Casting
         * @description Look whether a piece's body can be cast or printed in metal.
         */
        post: operations["prove_casting"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/bill": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Bill
         * @description What the shown pieces are made of: volumes by triangles, weights in each metal, stones.
         */
        get: operations["get_bill"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/bill.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Download Bill
         * @description The bill as comma-separated values.
         */
        get: operations["download_bill"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/sheet": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin Sheet
         * @description Begin to draw the sheet of what is shown, as the design stands now; it is fetched by its key.
         */
        post: operations["begin_sheet"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sheets/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Fetch Sheet
         * @description A sheet that was drawn, under a name.
         */
        get: operations["fetch_sheet"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/proposals": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin Proposal
         * @description Begin to lay quads on a component, as it lies now.
         */
        post: operations["begin_proposal"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/proposals/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Fetch Proposal
         * @description A proposal that was made.
         */
        get: operations["fetch_proposal"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/true-pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Pictures
         * @description Those that are kept of a design, the latest first.
         */
        get: operations["list_pictures"];
        put?: never;
        /**
         * Begin Picture
         * @description Begin to picture what is shown, as the design stands now; it is fetched by its key, also while it gets finer.
         */
        post: operations["begin_picture"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/true-pictures/{key}/enough": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Stop At This
         * @description It is fine enough: end with what there is so far.
         */
        post: operations["stop_at_this"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/true-pictures/{key}/rest": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Let Rest
         * @description Let it pause after the samples that it is at, or with ``on`` false go on.
         */
        post: operations["let_rest"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/true-pictures/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Fetch Picture
         * @description The picture as PNG: the finished one, or what there is so far; ``passed`` only tells one look from the next. With
         *     ``moving`` that of many turns, as WebP.
         */
        get: operations["fetch_picture"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/true-pictures/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Remove Picture
         * @description Throw a picture of a design away.
         */
        delete: operations["remove_picture"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/stamps": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Add Stamp
         * @description Take a PNG file (the body) in as a stamp, as one step: white is high.
         */
        post: operations["add_stamp"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/designs/{design_id}/pieces/{piece_id}/height-map": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Height Map
         * @description By how much a piece's relief stands nearer to an eye on one side than its plain surface: a PNG of 16 bit greys.
         */
        get: operations["height_map"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/keeping": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Get Keeping */
        get: operations["get_keeping"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/keeping/made": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Clear Made
         * @description Remove all that was made of designs and can be made again. The designs stay as they are, and true pictures of them.
         */
        delete: operations["clear_made"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/print-processes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Print Processes
         * @description Ways to print, and what each asks for; each number can be changed.
         */
        get: operations["list_print_processes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/health": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Health
         * @description Answers when the application is up.
         */
        get: operations["health"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        /**
         * AddBox
         * @description A closed box of quads; ``counts`` are the faces along x, y and z.
         */
        AddBox: {
            /**
             * Name
             * @default Box
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-box";
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /** Counts */
            counts: [
                number,
                number,
                number
            ];
        };
        /**
         * AddCage
         * @description A cage: vertices in mm, faces as rings of their numbers, creases by their two ends, corners, and face sets.
         *
         *     With ``mirrored`` it is the half of one that lies on the positive side across that axis: the border that lies in the
         *     plane at 0 is where it meets its image.
         */
        AddCage: {
            /** Name */
            name: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-cage";
            /** Positions */
            positions: [
                number,
                number,
                number
            ][];
            /** Faces */
            faces: number[][];
            /**
             * Creases
             * @default []
             */
            creases?: [
                number,
                number,
                number
            ][];
            /**
             * Corners
             * @default []
             */
            corners?: [
                number,
                number
            ][];
            /**
             * Face Sets
             * @default {}
             */
            face_sets?: {
                [key: string]: number[];
            };
            /**
             * Colour
             * @default clay
             * @enum {string}
             */
            colour?: "clay" | "slip" | "slate" | "moss" | "brick" | "ochre" | "mist";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
        };
        /**
         * AddCapsule
         * @description A capsule of a whole ``length``: ``counts`` are the faces across an end, and along the straight part.
         */
        AddCapsule: {
            /**
             * Name
             * @default Capsule
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-capsule";
            /** Diameter */
            diameter: number;
            /** Length */
            length: number;
            /** Counts */
            counts: [
                number,
                number
            ];
        };
        /**
         * AddComponent
         * @description Put down a mesh that was uploaded; its asset is in mm, turned by ``rotation`` (rows). It is locked, so that it is not
         *     dragged by chance. A ``stand`` is what pieces are shown on.
         */
        AddComponent: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-component";
            /** Name */
            name: string;
            /** Asset */
            asset: string;
            /** Triangles */
            triangles: number;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Clearance
             * @default 0
             */
            clearance?: number;
            /**
             * Scan
             * @default false
             */
            scan?: boolean;
            /**
             * Stand
             * @default false
             */
            stand?: boolean;
            /**
             * Rotation
             * @default [
             *       [
             *         1,
             *         0,
             *         0
             *       ],
             *       [
             *         0,
             *         1,
             *         0
             *       ],
             *       [
             *         0,
             *         0,
             *         1
             *       ]
             *     ]
             */
            rotation?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ];
        };
        /**
         * AddCone
         * @description A truncated cone, or with a ``top`` of 0 a cone with a tip, which is a corner as sharp as ``tip``.
         */
        AddCone: {
            /**
             * Name
             * @default Cone
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-cone";
            /** Bottom */
            bottom: number;
            /**
             * Top
             * @default 0
             */
            top?: number;
            /** Height */
            height: number;
            /** Counts */
            counts: [
                number,
                number
            ];
            /**
             * Caps
             * @default both
             * @enum {string}
             */
            caps?: "open" | "bottom" | "top" | "both";
            /**
             * Inset
             * @default 0.3
             */
            inset?: number;
            /**
             * Rim
             * @default 0
             */
            rim?: number;
            /**
             * Tip
             * @default 0
             */
            tip?: number;
        };
        /**
         * AddCurve
         * @description A curve about ``centre``, across the axis along which it ``stands``. Its sizes are the curve's, not its polygon's.
         *
         *     - "circle", "polygon": ``diameter``, ``count`` points or sides
         *     - "ellipse", "rounded-rectangle": ``width`` by ``depth``; ``radius`` of corners
         *     - "arc": ``diameter``, over ``degrees``
         *     - "helix": ``diameter``, ``pitch`` mm a turn, so many ``turns``, with ``count`` points each
         *     - "wave": ``waves`` round the axis, ``out`` mm away from the diameter and back, ``along`` mm up and down, with ``count``
         *       points each
         */
        AddCurve: {
            /**
             * Name
             * @default Curve
             */
            name?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-curve";
            /**
             * Shape
             * @default circle
             * @enum {string}
             */
            shape?: "circle" | "ellipse" | "arc" | "rounded-rectangle" | "polygon" | "helix" | "wave";
            /**
             * Diameter
             * @default 40
             */
            diameter?: number;
            /**
             * Width
             * @default 60
             */
            width?: number;
            /**
             * Depth
             * @default 30
             */
            depth?: number;
            /**
             * Radius
             * @default 5
             */
            radius?: number;
            /**
             * Degrees
             * @default 180
             */
            degrees?: number;
            /**
             * Count
             * @default 8
             */
            count?: number;
            /**
             * Pitch
             * @default 8
             */
            pitch?: number;
            /**
             * Turns
             * @default 4
             */
            turns?: number;
            /**
             * Waves
             * @default 8
             */
            waves?: number;
            /**
             * Out
             * @default 2
             */
            out?: number;
            /**
             * Along
             * @default 4
             */
            along?: number;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
        };
        /**
         * AddCurves
         * @description Put down curves, each as a piece of its own; of several they are a group.
         */
        AddCurves: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-curves";
            /**
             * Name
             * @default Curves
             */
            name?: string;
            /** Curves */
            curves: components["schemas"]["GivenCurve"][];
        };
        /**
         * AddCylinder
         * @description A cylinder of ``counts`` faces around and along; its caps are quads within a ring, its rims as sharp as ``rim``.
         */
        AddCylinder: {
            /**
             * Name
             * @default Cylinder
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-cylinder";
            /** Diameter */
            diameter: number;
            /** Height */
            height: number;
            /** Counts */
            counts: [
                number,
                number
            ];
            /**
             * Caps
             * @default both
             * @enum {string}
             */
            caps?: "open" | "bottom" | "top" | "both";
            /**
             * Inset
             * @default 0.3
             */
            inset?: number;
            /**
             * Rim
             * @default 0
             */
            rim?: number;
        };
        /**
         * AddFollower
         * @description Add a follower behind the others, or before the one with the id ``before``. It is given an id of its own.
         */
        AddFollower: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-follower";
            /** Follower */
            follower: components["schemas"]["Beads-Input"] | components["schemas"]["Bezel-Input"] | components["schemas"]["Channel-Input"] | components["schemas"]["Combine-Input"] | components["schemas"]["CutEdge-Input"] | components["schemas"]["Fillet-Input"] | components["schemas"]["FitBore-Input"] | components["schemas"]["Flush-Input"] | components["schemas"]["Hollow-Input"] | components["schemas"]["MirrorBody-Input"] | components["schemas"]["Prongs-Input"] | components["schemas"]["RepeatAlong-Input"] | components["schemas"]["RepeatRound-Input"] | components["schemas"]["ScaleToSize-Input"] | components["schemas"]["Seats-Input"] | components["schemas"]["Sprue-Input"] | components["schemas"]["Thickened-Input"] | components["schemas"]["Trim-Input"] | components["schemas"]["TrimBySheet-Input"];
            /** Before */
            before?: string | null;
        };
        /**
         * AddLink
         * @description A link of ``wire``, ``length`` along y and ``width`` along x inside; as long as wide it is a jump ring.
         */
        AddLink: {
            /**
             * Name
             * @default Link
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-link";
            /**
             * Wire
             * @description or a gauge: 18 ga
             * @default 1
             */
            wire?: number;
            /**
             * Length
             * @default 6
             */
            length?: number;
            /**
             * Width
             * @default 3
             */
            width?: number;
            /**
             * Around
             * @default 8
             */
            around?: number;
        };
        /**
         * AddLoop
         * @description Add edge loops across the rings of the picked edges, at ``shares`` of these edges, ascending.
         *
         *     Shares count from the end that is nearer to the middle of the cage. ``span`` "picked" runs from picked edge to picked
         *     edge only, and beyond these ends in an "ngon" or in "quads". ``form`` "tight" puts the loop on the cage, so that the
         *     surface draws closer to it there; "hold" keeps the surface, and the note says how far it strays.
         */
        AddLoop: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-loop";
            /**
             * Shares
             * @default [
             *       0.5
             *     ]
             */
            shares?: number[];
            /**
             * Span
             * @default ring
             * @enum {string}
             */
            span?: "ring" | "picked";
            /**
             * Ends
             * @default ngon
             * @enum {string}
             */
            ends?: "ngon" | "quads";
            /**
             * Form
             * @default tight
             * @enum {string}
             */
            form?: "tight" | "hold";
        };
        /**
         * AddPicture
         * @description Lay a picture that was uploaded on the plane of a flat view, ``width`` mm wide.
         */
        AddPicture: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-picture";
            /** Name */
            name: string;
            /** Asset */
            asset: string;
            /** Pixels */
            pixels: [
                number,
                number
            ];
            /**
             * View
             * @default front
             * @enum {string}
             */
            view?: "front" | "back" | "right" | "left" | "top" | "bottom";
            /**
             * Width
             * @default 100
             */
            width?: number;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
        };
        /**
         * AddPlane
         * @description An open sheet of quads that looks along ``stands``; ``counts`` are the faces along its two sides.
         */
        AddPlane: {
            /**
             * Name
             * @default Plane
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-plane";
            /** Size */
            size: [
                number,
                number
            ];
            /** Counts */
            counts: [
                number,
                number
            ];
        };
        /**
         * AddPoledSphere
         * @description A sphere with two poles, ``counts`` faces around and from pole to pole.
         */
        AddPoledSphere: {
            /**
             * Name
             * @default Sphere
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-poled-sphere";
            /** Diameter */
            diameter: number;
            /** Counts */
            counts: [
                number,
                number
            ];
        };
        /**
         * AddProof
         * @description Ask something of a piece, from now on. It is given an id of its own.
         */
        AddProof: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-proof";
            /** Proof */
            proof: components["schemas"]["Angle-Input"] | components["schemas"]["Bends-Input"] | components["schemas"]["BoreHeld-Input"] | components["schemas"]["CentreOfMass-Input"] | components["schemas"]["ClearanceKept-Input"] | components["schemas"]["Deviation-Input"] | components["schemas"]["Distance-Input"] | components["schemas"]["Draft-Input"] | components["schemas"]["FitsIn-Input"] | components["schemas"]["GapKept-Input"] | components["schemas"]["LengthAlong-Input"] | components["schemas"]["Overhang-Input"] | components["schemas"]["Round-Input"] | components["schemas"]["SeamEven-Input"] | components["schemas"]["SizeHeld-Input"] | components["schemas"]["Sound-Input"] | components["schemas"]["StandsUp-Input"] | components["schemas"]["Symmetric-Input"] | components["schemas"]["Wall-Input"] | components["schemas"]["WeighsAtMost-Input"];
        };
        /**
         * AddRing
         * @description A ring of a ``bore``, which is that of its smooth surface; ``around`` is its count of faces, an even one.
         *
         *     Width and thickness are those of the surface at the top (+y of its own), and at the bottom and at the shoulders where
         *     they differ there. A "free" profile goes through three corners of one side, ``section``, each so far out and so far to
         *     the side of all, and so sharp; ``ridge`` is how sharp its middle outside is.
         */
        AddRing: {
            /**
             * Name
             * @default Ring
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-ring";
            /**
             * Bore
             * @description or a size: US 7, ISO 54, UK N, JP 14
             * @default 17.3
             */
            bore?: number;
            /**
             * Width
             * @default 4
             */
            width?: number;
            /**
             * Thickness
             * @default 1.8
             */
            thickness?: number;
            /**
             * Profile
             * @default D
             */
            profile?: ("flat" | "court" | "D" | "comfort" | "knife" | "wire") | "free";
            /**
             * Around
             * @default 16
             */
            around?: number;
            /** Low Width */
            low_width?: number | null;
            /** Low Thickness */
            low_thickness?: number | null;
            /**
             * Shoulder
             * @default 1
             */
            shoulder?: number;
            /** Shoulder Width */
            shoulder_width?: number | null;
            /** Shoulder Thickness */
            shoulder_thickness?: number | null;
            /**
             * Shoulder At
             * @default 50
             */
            shoulder_at?: number;
            /**
             * Section
             * @default [
             *       [
             *         0.1,
             *         0.85,
             *         0
             *       ],
             *       [
             *         0.5,
             *         1,
             *         0
             *       ],
             *       [
             *         0.9,
             *         0.7,
             *         0
             *       ]
             *     ]
             */
            section?: [
                number,
                number,
                number
            ][];
            /**
             * Ridge
             * @default 0
             */
            ridge?: number;
        };
        /**
         * AddSphere
         * @description A sphere of six patches, each ``count`` x ``count`` quads: all valences are 3 or 4.
         */
        AddSphere: {
            /**
             * Name
             * @default Sphere
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-sphere";
            /** Diameter */
            diameter: number;
            /**
             * Count
             * @default 2
             */
            count?: number;
        };
        /**
         * AddStamp
         * @description Take a height map in as a stamp: ``heights`` are 16 bit numbers, little end first, row by row from the top, as base64.
         *
         *     ``width`` and ``high`` in mm where it has a true size, else 0; ``tiles`` where its edges fit together.
         */
        AddStamp: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-stamp";
            /** Name */
            name: string;
            /** Pixels */
            pixels: [
                number,
                number
            ];
            /** Heights */
            heights: string;
            /**
             * Tiles
             * @default false
             */
            tiles?: boolean;
            /**
             * Width
             * @default 0
             */
            width?: number;
            /**
             * High
             * @default 0
             */
            high?: number;
        };
        /**
         * AddTorus
         * @description A torus: ``ring`` is the diameter of its centre line, ``section`` that of its section.
         */
        AddTorus: {
            /**
             * Name
             * @default Torus
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-torus";
            /** Ring */
            ring: number;
            /** Section */
            section: number;
            /** Counts */
            counts: [
                number,
                number
            ];
        };
        /**
         * AddTube
         * @description A closed tube of ``counts`` faces around, along, and across its rims, which are as sharp as ``rim``.
         */
        AddTube: {
            /**
             * Name
             * @default Tube
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "add-tube";
            /** Outer */
            outer: number;
            /** Inner */
            inner: number;
            /** Height */
            height: number;
            /** Counts */
            counts: [
                number,
                number,
                number
            ];
            /**
             * Rim
             * @default 0
             */
            rim?: number;
        };
        /**
         * AgreeNormals
         * @description Make all shells of a piece look outwards, and those within another one inwards.
         */
        AgreeNormals: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "agree-normals";
        };
        /**
         * Angle
         * @description The angle between edges, faces and axes, in degrees.
         */
        "Angle-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            first?: components["schemas"]["Spot-Input"];
            second?: components["schemas"]["Spot-Input"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "angle";
        };
        /**
         * Angle
         * @description The angle between edges, faces and axes, in degrees.
         */
        "Angle-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            first?: components["schemas"]["Spot-Output"];
            second?: components["schemas"]["Spot-Output"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "angle";
        };
        /**
         * AskedCurves
         * @description Which curves are wanted of a piece.
         */
        AskedCurves: {
            section?: components["schemas"]["SectionPlane"] | null;
            /**
             * Seam
             * @default false
             */
            seam?: boolean;
            /**
             * Edges
             * @default []
             */
            edges?: number[];
        };
        /** AtRevision */
        AtRevision: {
            /** Revision */
            revision: number;
        };
        /**
         * Attract
         * @description Move what is picked by a ``share`` of the way to the nearest point of a surface, to end ``distance`` mm before it.
         *
         *     ``onto`` is the id of a component, or of another piece, whose smooth surface is meant.
         */
        Attract: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "attract";
            /** Onto */
            onto: string;
            /**
             * Distance
             * @default 0
             */
            distance?: number;
            /**
             * Share
             * @default 1
             */
            share?: number;
        };
        /**
         * Baguette
         * @description A long rectangle with its corners left on and one or two steps. Common practice, no source.
         */
        "Baguette-Input": {
            /**
             * Width
             * @default 2
             */
            width?: number;
            /**
             * Length
             * @default 4
             */
            length?: number;
            /**
             * Table
             * @default 65
             */
            table?: number;
            /**
             * Crown
             * @default 35
             */
            crown?: number;
            /**
             * Pavilion
             * @default 45
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 4
             */
            girdle?: number;
            /**
             * Steps
             * @default 2
             */
            steps?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "baguette";
        };
        /**
         * Baguette
         * @description A long rectangle with its corners left on and one or two steps. Common practice, no source.
         */
        "Baguette-Output": {
            /**
             * Width
             * @default 2
             */
            width?: number;
            /**
             * Length
             * @default 4
             */
            length?: number;
            /**
             * Table
             * @default 65
             */
            table?: number;
            /**
             * Crown
             * @default 35
             */
            crown?: number;
            /**
             * Pavilion
             * @default 45
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 4
             */
            girdle?: number;
            /**
             * Steps
             * @default 2
             */
            steps?: number;
            /**
             * Kind
             * @default baguette
             * @constant
             */
            kind: "baguette";
        };
        /**
         * Ball
         * @description A sphere about ``point``; mm.
         */
        "Ball-Input": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Kind
             * @default ball
             * @constant
             */
            kind: "ball";
        };
        /**
         * Ball
         * @description A sphere about ``point``; mm.
         */
        "Ball-Output": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Kind
             * @default ball
             * @constant
             */
            kind: "ball";
        };
        /**
         * Band
         * @description All between two picked elements.
         */
        Band: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "band";
        };
        /**
         * Beads
         * @description ``count`` grains of a diameter ``grain`` about each stone, ``over`` the girdle by so many mm; those of neighbours that
         *     all but touch are one.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 10.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Beads("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Beads-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Count
             * @default 4
             */
            count?: number;
            /**
             * Grain
             * @default 0.4
             */
            grain?: number;
            /**
             * Over
             * @default 0.3
             */
            over?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "beads";
        };
        /**
         * Beads
         * @description ``count`` grains of a diameter ``grain`` about each stone, ``over`` the girdle by so many mm; those of neighbours that
         *     all but touch are one.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 10.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Beads("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Beads-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Count
             * @default 4
             */
            count?: number;
            /**
             * Grain
             * @default 0.4
             */
            grain?: number;
            /**
             * Over
             * @default 0.3
             */
            over?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "beads";
        };
        /** Begin */
        Begin: {
            /** Kind */
            kind: string;
            hand: components["schemas"]["InHand"];
        };
        /**
         * Beginnings
         * @description Parameters by their names; those that follow from nothing are not among them.
         */
        Beginnings: {
            /** Values */
            values: {
                [key: string]: components["schemas"]["JsonValue"];
            };
        };
        /**
         * BenchAnswer
         * @description What the simulated bench answers to a file: accepted or not, what it found and where, and what it would take.
         */
        BenchAnswer: {
            /** Accepted */
            accepted: boolean;
            /** Objections */
            objections: components["schemas"]["ObjectionState"][];
            /** Layers */
            layers: number;
            /** Minutes */
            minutes: number;
            /** Grams */
            grams: number;
            /** Metres */
            metres: number;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /** Ways */
            ways: components["schemas"]["StandingState"][];
        };
        /**
         * Bend
         * @description Bend along ``axis`` through ``pivot`` (default the middle of the picked) into an arc of ``degrees``.
         *
         *     The arc's own middle lies ``towards`` a direction; where it is ``held`` the form stays as it is.
         */
        Bend: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            reach?: components["schemas"]["ReachBy"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bend";
            /** Axis */
            axis: [
                number,
                number,
                number
            ];
            /** Towards */
            towards: [
                number,
                number,
                number
            ];
            /** Degrees */
            degrees: number;
            /**
             * Held
             * @default middle
             * @enum {string}
             */
            held?: "start" | "middle" | "end";
            /** Pivot */
            pivot?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * Bends
         * @description No radius of curvature is less than ``least`` mm: ``outside``, where the form bulges, ``inside``, where it is hollow,
         *     or both. By quadrics laid through the dense points about each (D. Panozzo, E. Puppo, L. Rocca, "Efficient multi-scale
         *     curvature and crease estimation", 2010, as libigl has it); along sharp edges the radius is 0.
         */
        "Bends-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side?: "both" | "outside" | "inside";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bends";
        };
        /**
         * Bends
         * @description No radius of curvature is less than ``least`` mm: ``outside``, where the form bulges, ``inside``, where it is hollow,
         *     or both. By quadrics laid through the dense points about each (D. Panozzo, E. Puppo, L. Rocca, "Efficient multi-scale
         *     curvature and crease estimation", 2010, as libigl has it); along sharp edges the radius is 0.
         */
        "Bends-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side?: "both" | "outside" | "inside";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bends";
        };
        /**
         * BesideAsk
         * @description What is pictured beside it from the same view: the design at an earlier ``step``, or of two ``pieces`` one each.
         */
        BesideAsk: {
            /** Step */
            step?: number | null;
            /** Pieces */
            pieces?: [
                string,
                string
            ] | null;
        };
        /**
         * Bezel
         * @description A ``wall`` that stands ``over`` the girdle, on its inside a ``ledge`` on which the stone rests; mm.
         *
         *     ``taper``: by how many degrees its outside narrows downwards. An "open" base lets light through, down to the far side of
         *     the metal; a "closed" one leaves what the stone does not need. It stands in the metal where that lies below it, else it
         *     ends ``depth`` mm below the girdle (0: a little below the stone).
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Bezel("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Bezel-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Wall
             * @default 0.5
             */
            wall?: number;
            /**
             * Over
             * @default 0.5
             */
            over?: number;
            /**
             * Ledge
             * @default 0.3
             */
            ledge?: number;
            /**
             * Taper
             * @default 0
             */
            taper?: number;
            /**
             * Base
             * @default closed
             * @enum {string}
             */
            base?: "closed" | "open";
            /**
             * Depth
             * @default 0
             */
            depth?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bezel";
        };
        /**
         * Bezel
         * @description A ``wall`` that stands ``over`` the girdle, on its inside a ``ledge`` on which the stone rests; mm.
         *
         *     ``taper``: by how many degrees its outside narrows downwards. An "open" base lets light through, down to the far side of
         *     the metal; a "closed" one leaves what the stone does not need. It stands in the metal where that lies below it, else it
         *     ends ``depth`` mm below the girdle (0: a little below the stone).
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Bezel("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Bezel-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Wall
             * @default 0.5
             */
            wall?: number;
            /**
             * Over
             * @default 0.5
             */
            over?: number;
            /**
             * Ledge
             * @default 0.3
             */
            ledge?: number;
            /**
             * Taper
             * @default 0
             */
            taper?: number;
            /**
             * Base
             * @default closed
             * @enum {string}
             */
            base?: "closed" | "open";
            /**
             * Depth
             * @default 0
             */
            depth?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bezel";
        };
        /**
         * BillState
         * @description What a design is made of; weights are those of all of its bodies together.
         *
         *     ``lacks`` are sentences on what is not in it, or not as it was asked for.
         */
        BillState: {
            /** Metal */
            metal: components["schemas"]["MetalLineState"][];
            /** Stones */
            stones: components["schemas"]["StoneLineState"][];
            /** Volume */
            volume: number;
            /** Carats */
            carats: number;
            /** Count */
            count: number;
            /** Weights */
            weights: components["schemas"]["WeightState"][];
            /** Findings */
            findings: components["schemas"]["zinc_otter__api__bench__FindingState"][];
            /** Lacks */
            lacks: string[];
        };
        /**
         * Block
         * @description A box about its middle ``point``, with its edges along the axes; mm.
         */
        "Block-Input": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Size
             * @default [
             *       20,
             *       20,
             *       20
             *     ]
             */
            size?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default block
             * @constant
             */
            kind: "block";
        };
        /**
         * Block
         * @description A box about its middle ``point``, with its edges along the axes; mm.
         */
        "Block-Output": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Size
             * @default [
             *       20,
             *       20,
             *       20
             *     ]
             */
            size?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default block
             * @constant
             */
            kind: "block";
        };
        /**
         * BoreHeld
         * @description The widest cylinder through it is ``diameter`` mm, give or take ``tolerance``.
         */
        "BoreHeld-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Diameter
             * @default 17.3
             */
            diameter?: number;
            /**
             * Tolerance
             * @default 0.05
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bore";
        };
        /**
         * BoreHeld
         * @description The widest cylinder through it is ``diameter`` mm, give or take ``tolerance``.
         */
        "BoreHeld-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Diameter
             * @default 17.3
             */
            diameter?: number;
            /**
             * Tolerance
             * @default 0.05
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bore";
        };
        /**
         * Bridge
         * @description Join two groups of faces, or two chains of open edges, by ``segments`` rows of quads.
         *
         *     ``shift`` rolls the pairing on; with a ``strength`` the middle follows the tangents of both ends; ``add_loops`` adds
         *     the loops that are missing where the counts do not answer each other.
         */
        Bridge: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            far?: components["schemas"]["FarEnd"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "bridge";
            /**
             * Segments
             * @default 1
             */
            segments?: number;
            /**
             * Shift
             * @default 0
             */
            shift?: number;
            /**
             * Strength
             * @default 0
             */
            strength?: number;
            /**
             * Add Loops
             * @default false
             */
            add_loops?: boolean;
        };
        /**
         * Cabochon
         * @description An elliptical ``dome`` (% of the width) over a band of a ``girdle`` and a base: flat, or a ``back`` that is domed too.
         *
         *     Its volume is that of two half ellipsoids and an elliptical cylinder: 2/3 π a b h each, and π a b g.
         */
        "Cabochon-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5
             */
            length?: number;
            /**
             * Dome
             * @default 40
             */
            dome?: number;
            /**
             * Back
             * @default 0
             */
            back?: number;
            /**
             * Girdle
             * @default 8
             */
            girdle?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "cabochon";
        };
        /**
         * Cabochon
         * @description An elliptical ``dome`` (% of the width) over a band of a ``girdle`` and a base: flat, or a ``back`` that is domed too.
         *
         *     Its volume is that of two half ellipsoids and an elliptical cylinder: 2/3 π a b h each, and π a b g.
         */
        "Cabochon-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5
             */
            length?: number;
            /**
             * Dome
             * @default 40
             */
            dome?: number;
            /**
             * Back
             * @default 0
             */
            back?: number;
            /**
             * Girdle
             * @default 8
             */
            girdle?: number;
            /**
             * Kind
             * @default cabochon
             * @constant
             */
            kind: "cabochon";
        };
        /**
         * CageArrays
         * @description A cage: positions in mm, faces as lists of vertices, and only those edges and vertices that are sharp.
         */
        CageArrays: {
            /** Positions */
            positions: [
                number,
                number,
                number
            ][];
            /** Faces */
            faces: number[][];
            /** Edges */
            edges: [
                number,
                number
            ][];
            /** Open Edges */
            open_edges: number[];
            /**
             * Creases
             * @description edge number to sharpness
             */
            creases: {
                [key: string]: number;
            };
            /**
             * Corners
             * @description vertex number to sharpness
             */
            corners: {
                [key: string]: number;
            };
        };
        /**
         * CageFileState
         * @description What a file gives as a cage: what was set right on the way in, and the command that puts it down.
         */
        CageFileState: {
            /** Findings */
            findings: components["schemas"]["zinc_otter__api__solid_schemas__FindingState"][];
            /** Remarks */
            remarks: string[];
            /** Vertex Count */
            vertex_count: number;
            /** Face Count */
            face_count: number;
            /** Quad Count */
            quad_count: number;
            /** Open Edge Count */
            open_edge_count: number;
            command: components["schemas"]["AddCage"];
        };
        /**
         * CameraAsk
         * @description Where it is seen from: the eye, the ways back to it and upwards; ``field`` degrees high, or flat and ``tall`` mm. With
         *     a lens of ``aperture`` mm radius what is ``focus`` mm away is sharp.
         */
        CameraAsk: {
            /** Eye */
            eye: [
                number,
                number,
                number
            ];
            /** Back */
            back: [
                number,
                number,
                number
            ];
            /** Up */
            up: [
                number,
                number,
                number
            ];
            /**
             * Field
             * @default 32
             */
            field?: number | null;
            /**
             * Tall
             * @default 100
             */
            tall?: number;
            /**
             * Aperture
             * @default 0
             */
            aperture?: number;
            /**
             * Focus
             * @default 100
             */
            focus?: number;
        };
        /**
         * CastAnswer
         * @description Whether nothing was found, what was, and the least wall in mm of all places looked at, with where it is.
         */
        CastAnswer: {
            /** Holds */
            holds: boolean;
            /** Faults */
            faults: components["schemas"]["RemarkState"][];
            /** Wall */
            wall: number;
            /** Wall At */
            wall_at: [
                number,
                number,
                number
            ];
        };
        /**
         * CastAsk
         * @description By which process, and where its numbers are others here.
         */
        CastAsk: {
            /**
             * Process
             * @default cast
             */
            process?: string;
            /** Wall */
            wall?: number | null;
            /** Prong */
            prong?: number | null;
            /** Gap */
            gap?: number | null;
        };
        /**
         * CentreOfMass
         * @description Along an ``axis`` the centre of mass lies from ``least`` to ``most`` mm.
         */
        "CentreOfMass-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * Least
             * @default 0
             */
            least?: number;
            /**
             * Most
             * @default 10
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "centre-of-mass";
        };
        /**
         * CentreOfMass
         * @description Along an ``axis`` the centre of mass lies from ``least`` to ``most`` mm.
         */
        "CentreOfMass-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * Least
             * @default 0
             */
            least?: number;
            /**
             * Most
             * @default 10
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "centre-of-mass";
        };
        /**
         * CertificateState
         * @description What a made solid states of itself: mm, mm², mm³, degrees.
         */
        CertificateState: {
            /** Watertight */
            watertight: boolean;
            /** Volume */
            volume: number;
            /** Area */
            area: number;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /** Solid Count */
            solid_count: number;
            /** Face Count */
            face_count: number;
            /** Pole Count */
            pole_count: number | null;
            /** Deviation */
            deviation: number;
            /** Seam Angle */
            seam_angle: number | null;
            /** Warnings */
            warnings: components["schemas"]["RemarkState"][];
            /**
             * Faults
             * @description why it is not what was asked for, or no sound solid
             * @default []
             */
            faults?: components["schemas"]["RemarkState"][];
            /**
             * Meant Sharp
             * @description hard edges and corners of the cage
             * @default [
             *       0,
             *       0
             *     ]
             */
            meant_sharp?: [
                number,
                number
            ];
            measured: components["schemas"]["MeasuredState"] | null;
            /**
             * Route
             * @description triangles: the kernel has not made it
             * @default kernel
             * @enum {string}
             */
            route?: "kernel" | "triangles";
        };
        /**
         * Chamfer
         * @description Chamfer picked edges, ``distance`` mm to each side measured on their faces, with ``segments`` faces across that are
         *     flat or round; or cut off picked vertices. With ``quads`` corners and ends are closed in quads; ``keep_creases`` leaves
         *     the old edges' sharpness on the outer lines.
         */
        Chamfer: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "chamfer";
            /**
             * Distance
             * @description Measured on the faces beside the edge.
             */
            distance: number;
            /**
             * Segments
             * @default 1
             */
            segments?: number;
            /**
             * Profile
             * @default flat
             * @enum {string}
             */
            profile?: "flat" | "round";
            /**
             * Quads
             * @default true
             */
            quads?: boolean;
            /**
             * Keep Creases
             * @default false
             */
            keep_creases?: boolean;
        };
        /**
         * ChangeFollower
         * @description Give a follower other numbers, another name, or switch it on or off; it is found by its id.
         */
        ChangeFollower: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "change-follower";
            /** Follower */
            follower: components["schemas"]["Beads-Input"] | components["schemas"]["Bezel-Input"] | components["schemas"]["Channel-Input"] | components["schemas"]["Combine-Input"] | components["schemas"]["CutEdge-Input"] | components["schemas"]["Fillet-Input"] | components["schemas"]["FitBore-Input"] | components["schemas"]["Flush-Input"] | components["schemas"]["Hollow-Input"] | components["schemas"]["MirrorBody-Input"] | components["schemas"]["Prongs-Input"] | components["schemas"]["RepeatAlong-Input"] | components["schemas"]["RepeatRound-Input"] | components["schemas"]["ScaleToSize-Input"] | components["schemas"]["Seats-Input"] | components["schemas"]["Sprue-Input"] | components["schemas"]["Thickened-Input"] | components["schemas"]["Trim-Input"] | components["schemas"]["TrimBySheet-Input"];
        };
        /**
         * ChangeMask
         * @description Invert, blur, grow or clear what is protected from brushes; on a piece without relief one of ``level`` is begun.
         */
        ChangeMask: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "change-mask";
            /** Piece */
            piece: string;
            /**
             * Way
             * @enum {string}
             */
            way: "invert" | "blur" | "grow" | "clear";
            /**
             * Level
             * @default 4
             */
            level?: number;
        };
        /**
         * ChangeProof
         * @description Ask something else in place of a proof; it is found by its id.
         */
        ChangeProof: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "change-proof";
            /** Proof */
            proof: components["schemas"]["Angle-Input"] | components["schemas"]["Bends-Input"] | components["schemas"]["BoreHeld-Input"] | components["schemas"]["CentreOfMass-Input"] | components["schemas"]["ClearanceKept-Input"] | components["schemas"]["Deviation-Input"] | components["schemas"]["Distance-Input"] | components["schemas"]["Draft-Input"] | components["schemas"]["FitsIn-Input"] | components["schemas"]["GapKept-Input"] | components["schemas"]["LengthAlong-Input"] | components["schemas"]["Overhang-Input"] | components["schemas"]["Round-Input"] | components["schemas"]["SeamEven-Input"] | components["schemas"]["SizeHeld-Input"] | components["schemas"]["Sound-Input"] | components["schemas"]["StandsUp-Input"] | components["schemas"]["Symmetric-Input"] | components["schemas"]["Wall-Input"] | components["schemas"]["WeighsAtMost-Input"];
        };
        /**
         * ChangeReference
         * @description Change how a reference is named, shown and guarded; what is left out stays.
         */
        ChangeReference: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "change-reference";
            /** Reference */
            reference: string;
            /** Name */
            name?: string | null;
            /** Visible */
            visible?: boolean | null;
            /** Locked */
            locked?: boolean | null;
            /** Opacity */
            opacity?: number | null;
            /** In Front */
            in_front?: boolean | null;
            /** Clearance */
            clearance?: number | null;
            /** Scan */
            scan?: boolean | null;
        };
        /**
         * ChangeRelief
         * @description Levels of relief as a whole.
         *
         *     "finer" adds one; "folded" takes the finest away, its detail going into the one below; "smoothed" takes ``share`` of
         *     the relief away; "plain" all of it; "next" makes the first level the cage: the same surface, four faces for each.
         */
        ChangeRelief: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "change-relief";
            /** Piece */
            piece: string;
            /**
             * Way
             * @enum {string}
             */
            way: "finer" | "folded" | "smoothed" | "plain" | "next";
            /**
             * Share
             * @default 0.5
             */
            share?: number;
        };
        /**
         * ChangeStone
         * @description One stone of a piece, counted from 1: turned by so many degrees, sunk by so many mm and so many times as large, beside
         *     what all of them are; or taken away.
         */
        ChangeStone: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "change-stone";
            /** Piece */
            piece: string;
            /**
             * Stone
             * @default 1
             */
            stone?: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Size
             * @default 1
             */
            size?: number;
            /**
             * Gone
             * @default false
             */
            gone?: boolean;
        };
        /**
         * Channel
         * @description Two walls ``over`` the girdles by so many mm and ``wall`` mm thick run along the stones in their order; between them a
         *     slot is open, into which each wall reaches ``bite`` mm over the girdle. The ends are closed by as much metal.
         *
         *     The stones' lengths lie along the row, or with ``across`` square to it.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.tile(np.eye(4), (3, 1, 1))
         *     >>> where[:, 1, 3], where[:, 2, 3] = [-5.5, 0, 5.5], 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Channel("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Channel-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Wall
             * @default 0.6
             */
            wall?: number;
            /**
             * Over
             * @default 0.4
             */
            over?: number;
            /**
             * Bite
             * @default 0.15
             */
            bite?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "channel";
        };
        /**
         * Channel
         * @description Two walls ``over`` the girdles by so many mm and ``wall`` mm thick run along the stones in their order; between them a
         *     slot is open, into which each wall reaches ``bite`` mm over the girdle. The ends are closed by as much metal.
         *
         *     The stones' lengths lie along the row, or with ``across`` square to it.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.tile(np.eye(4), (3, 1, 1))
         *     >>> where[:, 1, 3], where[:, 2, 3] = [-5.5, 0, 5.5], 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Channel("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Channel-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Wall
             * @default 0.6
             */
            wall?: number;
            /**
             * Over
             * @default 0.4
             */
            over?: number;
            /**
             * Bite
             * @default 0.15
             */
            bite?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "channel";
        };
        /**
         * Circle
         * @description Make picked loops round: of ``radius`` mm, or as large as they are; with ``even`` at even angles.
         */
        Circle: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * Share
             * @default 1
             */
            share?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "circle";
            /** Radius */
            radius?: number | null;
            /**
             * Even
             * @default true
             */
            even?: boolean;
        };
        /** CircleOutline */
        CircleOutline: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            shape: "circle";
            /** Diameter */
            diameter: number;
        };
        /**
         * ClearanceKept
         * @description At least ``least`` mm lie between it and the component ``component``.
         */
        "ClearanceKept-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Component
             * @default
             */
            component?: string;
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "clearance";
        };
        /**
         * ClearanceKept
         * @description At least ``least`` mm lie between it and the component ``component``.
         */
        "ClearanceKept-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Component
             * @default
             */
            component?: string;
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "clearance";
        };
        /**
         * CloseCurve
         * @description Close an open curve; ends that lie in one place become one point.
         */
        CloseCurve: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "close-curve";
        };
        /**
         * Collapse
         * @description Draw what hangs together of the picked into one vertex; with ``rings`` each edge of the rings of the picked edges.
         */
        Collapse: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "collapse";
            /**
             * Rings
             * @default false
             */
            rings?: boolean;
        };
        /**
         * ColourPiece
         * @description Show a piece in another of the workshop's clays.
         */
        ColourPiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "colour-piece";
            /** Piece */
            piece: string;
            /**
             * Colour
             * @enum {string}
             */
            colour: "clay" | "slip" | "slate" | "moss" | "brick" | "ochre" | "mist";
        };
        /**
         * Combine
         * @description Union, difference or intersection.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.exact import Cylinder
         *     >>> peg = Combine("f1", way="union", body=Cylinder((0, 0, 0), (0, 0, 1), 3.0, 60.0))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (peg,)))
         *     >>> made.notes[0].status, round(float(made.body.size[2]))
         *     ('done', 75)
         */
        "Combine-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Way
             * @default union
             * @enum {string}
             */
            way?: "union" | "subtract" | "intersect";
            /** Body */
            body?: components["schemas"]["PieceBody-Input"] | components["schemas"]["ImportedBody-Input"] | components["schemas"]["Cylinder-Input"] | components["schemas"]["Cone-Input"] | components["schemas"]["Ball-Input"] | components["schemas"]["Block-Input"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "combine";
        };
        /**
         * Combine
         * @description Union, difference or intersection.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.exact import Cylinder
         *     >>> peg = Combine("f1", way="union", body=Cylinder((0, 0, 0), (0, 0, 1), 3.0, 60.0))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (peg,)))
         *     >>> made.notes[0].status, round(float(made.body.size[2]))
         *     ('done', 75)
         */
        "Combine-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Way
             * @default union
             * @enum {string}
             */
            way?: "union" | "subtract" | "intersect";
            /** Body */
            body?: components["schemas"]["PieceBody-Output"] | components["schemas"]["ImportedBody-Output"] | components["schemas"]["Cylinder-Output"] | components["schemas"]["Cone-Output"] | components["schemas"]["Ball-Output"] | components["schemas"]["Block-Output"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "combine";
        };
        /**
         * Combined
         * @description The curve that looks like ``first`` in one view and like ``second`` in another.
         *
         *     The second passes every height of the axis that both views show once.
         */
        "Combined-Input": {
            /**
             * First
             * @default
             */
            first?: string;
            /**
             * Second
             * @default
             */
            second?: string;
            /**
             * Views
             * @default front and right
             * @enum {string}
             */
            views?: "front and right" | "front and top" | "right and top";
            /**
             * Count
             * @default 12
             */
            count?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "combined";
        };
        /**
         * Combined
         * @description The curve that looks like ``first`` in one view and like ``second`` in another.
         *
         *     The second passes every height of the axis that both views show once.
         */
        "Combined-Output": {
            /**
             * First
             * @default
             */
            first?: string;
            /**
             * Second
             * @default
             */
            second?: string;
            /**
             * Views
             * @default front and right
             * @enum {string}
             */
            views?: "front and right" | "front and top" | "right and top";
            /**
             * Count
             * @default 12
             */
            count?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "combined";
        };
        /** CommandAt */
        CommandAt: {
            /** Revision */
            revision: number;
            /** Command */
            command: components["schemas"]["AddBox"] | components["schemas"]["AddCage"] | components["schemas"]["AddCapsule"] | components["schemas"]["AddComponent"] | components["schemas"]["AddCone"] | components["schemas"]["AddCurve"] | components["schemas"]["AddCurves"] | components["schemas"]["AddCylinder"] | components["schemas"]["AddFollower"] | components["schemas"]["AddLink"] | components["schemas"]["AddLoop"] | components["schemas"]["AddPicture"] | components["schemas"]["AddPlane"] | components["schemas"]["AddPoledSphere"] | components["schemas"]["AddProof"] | components["schemas"]["AddRing"] | components["schemas"]["AddSphere"] | components["schemas"]["AddStamp"] | components["schemas"]["AddTorus"] | components["schemas"]["AddTube"] | components["schemas"]["AgreeNormals"] | components["schemas"]["Attract"] | components["schemas"]["Bend"] | components["schemas"]["Bridge"] | components["schemas"]["Chamfer"] | components["schemas"]["ChangeFollower"] | components["schemas"]["ChangeMask"] | components["schemas"]["ChangeProof"] | components["schemas"]["ChangeReference"] | components["schemas"]["ChangeRelief"] | components["schemas"]["ChangeStone"] | components["schemas"]["Circle"] | components["schemas"]["CloseCurve"] | components["schemas"]["Collapse"] | components["schemas"]["ColourPiece"] | components["schemas"]["CoverFaces"] | components["schemas"]["CreaseLike"] | components["schemas"]["CrossCurve"] | components["schemas"]["Delete"] | components["schemas"]["DeletePiece"] | components["schemas"]["DeleteReference"] | components["schemas"]["Detach"] | components["schemas"]["DrawCurve"] | components["schemas"]["DrawFreehand"] | components["schemas"]["DrawWire"] | components["schemas"]["DuplicatePiece"] | components["schemas"]["ExtendCurve"] | components["schemas"]["Extrude"] | components["schemas"]["ExtrudeAlong"] | components["schemas"]["Fill"] | components["schemas"]["FillDrawn"] | components["schemas"]["FillOutline"] | components["schemas"]["FinishPiece"] | components["schemas"]["FitComponent"] | components["schemas"]["FitTheBore"] | components["schemas"]["Flatten"] | components["schemas"]["Flip"] | components["schemas"]["ForgetFaces"] | components["schemas"]["ForgetStamp"] | components["schemas"]["GroupPieces"] | components["schemas"]["Grow"] | components["schemas"]["Heal"] | components["schemas"]["Inset"] | components["schemas"]["JoinCurves"] | components["schemas"]["JoinPieces"] | components["schemas"]["KeepVariant"] | components["schemas"]["Knife"] | components["schemas"]["LayByRegion"] | components["schemas"]["LayChain"] | components["schemas"]["LayFace"] | components["schemas"]["LayStones"] | components["schemas"]["LetBack"] | components["schemas"]["LineUp"] | components["schemas"]["LockPiece"] | components["schemas"]["MakeIndependent"] | components["schemas"]["MakeTrue"] | components["schemas"]["MakeVariant"] | components["schemas"]["MeasurePicture"] | components["schemas"]["Mirror"] | components["schemas"]["Move"] | components["schemas"]["MoveAlongNormal"] | components["schemas"]["MoveEach"] | components["schemas"]["NameFaces"] | components["schemas"]["OffsetCurve"] | components["schemas"]["OrderFollowers"] | components["schemas"]["OrderPiece"] | components["schemas"]["PartCurve"] | components["schemas"]["PlaceByPairs"] | components["schemas"]["PlaceComponent"] | components["schemas"]["PlacePicture"] | components["schemas"]["RecastComponent"] | components["schemas"]["Regrow"] | components["schemas"]["Relax"] | components["schemas"]["ReliefInSolid"] | components["schemas"]["Remove"] | components["schemas"]["RemoveFollower"] | components["schemas"]["RemoveProof"] | components["schemas"]["RenamePiece"] | components["schemas"]["RepeatAround"] | components["schemas"]["Resample"] | components["schemas"]["ResampleCurve"] | components["schemas"]["ScaleCreases"] | components["schemas"]["Sculpt"] | components["schemas"]["SetCorner"] | components["schemas"]["SetCrease"] | components["schemas"]["Settle"] | components["schemas"]["ShowPiece"] | components["schemas"]["SizeBy"] | components["schemas"]["Slide"] | components["schemas"]["SpaceEvenly"] | components["schemas"]["Spin"] | components["schemas"]["SplitParts"] | components["schemas"]["StampFromPiece"] | components["schemas"]["StandOnMirror"] | components["schemas"]["Straighten"] | components["schemas"]["TakeCurve"] | components["schemas"]["TakeImageOut"] | components["schemas"]["Taper"] | components["schemas"]["Thicken"] | components["schemas"]["Trace"] | components["schemas"]["TraceStrip"] | components["schemas"]["Turn"] | components["schemas"]["TurnCurve"] | components["schemas"]["Twist"] | components["schemas"]["Weld"] | components["schemas"]["Zip"];
        };
        /**
         * ComponentState
         * @description A component: its mesh lies at ``rotation`` times its own points plus ``centre``.
         */
        ComponentState: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "component";
            /** Id */
            id: string;
            /** Name */
            name: string;
            /** Asset */
            asset: string;
            /** Triangles */
            triangles: number;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /** Rotation */
            rotation: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ];
            /** Centre */
            centre: [
                number,
                number,
                number
            ];
            /** Clearance */
            clearance: number;
            /** Scan */
            scan: boolean;
            /** Stand */
            stand: boolean;
            /** Opacity */
            opacity: number;
            /** Visible */
            visible: boolean;
            /** Locked */
            locked: boolean;
        };
        /**
         * Cone
         * @description A cone or its stump: ``radius`` at the foot, ``top_radius`` at the other end, which may be 0; mm.
         */
        "Cone-Input": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Top Radius
             * @default 5
             */
            top_radius?: number;
            /**
             * Height
             * @default 20
             */
            height?: number;
            /**
             * Kind
             * @default cone
             * @constant
             */
            kind: "cone";
        };
        /**
         * Cone
         * @description A cone or its stump: ``radius`` at the foot, ``top_radius`` at the other end, which may be 0; mm.
         */
        "Cone-Output": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Top Radius
             * @default 5
             */
            top_radius?: number;
            /**
             * Height
             * @default 20
             */
            height?: number;
            /**
             * Kind
             * @default cone
             * @constant
             */
            kind: "cone";
        };
        /**
         * Convert
         * @description The same place as elements of another kind.
         */
        Convert: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "convert";
            /**
             * To
             * @enum {string}
             */
            to: "vertex" | "edge" | "face";
        };
        /**
         * CoverFaces
         * @description Lay a stamp over the picked faces of a piece: of a mirrored one on all sides.
         *
         *     ``size`` mm is the width of a tile; 0 lays it once over all of them. "flat" looks along ``along``, or without it along
         *     the mean normal of the faces; "round" goes about the axis, and a whole number of tiles fits round it.
         */
        CoverFaces: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "cover-faces";
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /** Stamp */
            stamp: string;
            /**
             * Level
             * @default 4
             */
            level?: number;
            /**
             * Height
             * @default 0.5
             */
            height?: number;
            /**
             * Size
             * @default 5
             */
            size?: number;
            /**
             * Way
             * @default flat
             * @enum {string}
             */
            way?: "flat" | "round";
            /** Along */
            along?: [
                number,
                number,
                number
            ] | null;
            /**
             * Axis Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            axis_point?: [
                number,
                number,
                number
            ];
            /**
             * Axis
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            axis?: [
                number,
                number,
                number
            ];
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Soft
             * @default 0.5
             */
            soft?: number;
        };
        /**
         * CreaseLike
         * @description Crease the picked edges that run along a component's sharp lines, where it turns by ``angle`` degrees or more.
         *
         *     An edge runs along one where both its ends and its middle lie ``within`` mm of it. By "scan" picked edges are creased as
         *     tightly as the component is rounded along them, noise or not: its radius is found there, and told.
         */
        CreaseLike: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "crease-like";
            /** Like */
            like: string;
            /**
             * By
             * @default lines
             * @enum {string}
             */
            by?: "lines" | "scan";
            /**
             * Angle
             * @default 30
             */
            angle?: number;
            /**
             * Within
             * @default 0.5
             */
            within?: number;
            /**
             * Sharpness
             * @default 10
             */
            sharpness?: number;
        };
        /**
         * Creases
         * @description All edges at least so sharp.
         */
        Creases: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "creases";
            /**
             * Least
             * @default 0
             */
            least?: number;
        };
        /**
         * CrossCurve
         * @description Draw a curve through all ``curves`` that a line from ``start`` to ``end`` crosses, as it is seen: from the ``eye``, or
         *     where there is none against the direction ``towards`` it. Where it passes one twice, the place nearer to the eye counts.
         *
         *     It follows the curves.
         */
        CrossCurve: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "cross-curve";
            /** Curves */
            curves: string[];
            /** Start */
            start: [
                number,
                number,
                number
            ];
            /** End */
            end: [
                number,
                number,
                number
            ];
            /** Towards */
            towards: [
                number,
                number,
                number
            ];
            /** Eye */
            eye?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * CurveFacts
         * @description What is measured on a curve: lengths in mm. ``least_radius`` is null where it runs straight throughout.
         */
        CurveFacts: {
            /** Degree */
            degree: number;
            /** Closed */
            closed: boolean;
            /** Length */
            length: number;
            /** Least Radius */
            least_radius: number | null;
            /** Tightest */
            tightest: [
                number,
                number,
                number
            ] | null;
            /**
             * Plane
             * @description whether it lies in a plane, within a millionth of its size
             */
            plane: boolean;
            /**
             * Crosses
             * @description where it runs through itself
             */
            crosses: [
                number,
                number,
                number
            ][];
        };
        /**
         * CurveFileState
         * @description What a file of curves holds; ``length`` is all of it in mm. The command puts it down.
         */
        CurveFileState: {
            /** Count */
            count: number;
            /** Closed */
            closed: number;
            /** Points */
            points: number;
            /** Length */
            length: number;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            command: components["schemas"]["AddCurves"];
        };
        /**
         * CurveState
         * @description Points in mm, flat, and at each the curvature vector in 1/mm; the smallest radius, null where it is straight.
         */
        CurveState: {
            /**
             * Of
             * @enum {string}
             */
            of: "section" | "seam" | "edges";
            /** Points */
            points: number[];
            /** Bending */
            bending: number[];
            /** Closed */
            closed: boolean;
            /** Least Radius */
            least_radius: number | null;
            /** Tightest */
            tightest: [
                number,
                number,
                number
            ];
        };
        /**
         * CushionBrilliant
         * @description Rounded sides, by a superellipse; proportions of the round brilliant, across the width.
         */
        "CushionBrilliant-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5.5
             */
            length?: number;
            /**
             * Table
             * @default 58
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "cushion";
        };
        /**
         * CushionBrilliant
         * @description Rounded sides, by a superellipse; proportions of the round brilliant, across the width.
         */
        "CushionBrilliant-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5.5
             */
            length?: number;
            /**
             * Table
             * @default 58
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default cushion
             * @constant
             */
            kind: "cushion";
        };
        /**
         * CutAsk
         * @description A plane across an axis: what lies beyond it is left out, or with ``flip`` what lies before it.
         */
        CutAsk: {
            /** Axis */
            axis: number;
            /** At */
            at: number;
            /**
             * Flip
             * @default false
             */
            flip?: boolean;
        };
        /**
         * CutEdge
         * @description Chamfer edges: cut off at ``distance`` mm on both sides.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.followers.trim import Trim
         *     >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> edge = CutEdge("f2", between=("f1", "piece"), distance=1.5)
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, edge)))
         *     >>> [note.status for note in made.notes]
         *     ['done', 'done']
         */
        "CutEdge-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Between
             * @default [
             *       "piece",
             *       "piece"
             *     ]
             */
            between?: [
                string,
                string
            ];
            /** Near */
            near?: [
                number,
                number,
                number
            ] | null;
            /**
             * Distance
             * @default 1
             */
            distance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "cut-edge";
        };
        /**
         * CutEdge
         * @description Chamfer edges: cut off at ``distance`` mm on both sides.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.followers.trim import Trim
         *     >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> edge = CutEdge("f2", between=("f1", "piece"), distance=1.5)
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, edge)))
         *     >>> [note.status for note in made.notes]
         *     ['done', 'done']
         */
        "CutEdge-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Between
             * @default [
             *       "piece",
             *       "piece"
             *     ]
             */
            between?: [
                string,
                string
            ];
            /** Near */
            near?: [
                number,
                number,
                number
            ] | null;
            /**
             * Distance
             * @default 1
             */
            distance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "cut-edge";
        };
        /**
         * Cylinder
         * @description From the middle of its foot ``point`` along a direction; mm.
         */
        "Cylinder-Input": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Height
             * @default 20
             */
            height?: number;
            /**
             * Kind
             * @default cylinder
             * @constant
             */
            kind: "cylinder";
        };
        /**
         * Cylinder
         * @description From the middle of its foot ``point`` along a direction; mm.
         */
        "Cylinder-Output": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Height
             * @default 20
             */
            height?: number;
            /**
             * Kind
             * @default cylinder
             * @constant
             */
            kind: "cylinder";
        };
        /**
         * Delete
         * @description Delete the picked faces, or the faces around the picked vertices or edges; of a curve control points.
         */
        Delete: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "delete";
        };
        /**
         * DeletePiece
         * @description Take a piece out of the design.
         */
        DeletePiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "delete-piece";
            /** Piece */
            piece: string;
        };
        /**
         * DeleteReference
         * @description Take a reference out of the design.
         */
        DeleteReference: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "delete-reference";
            /** Reference */
            reference: string;
        };
        /**
         * DesignCard
         * @description One design in the list.
         */
        DesignCard: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /**
             * Unit
             * @enum {string}
             */
            unit: "mm" | "cm" | "in";
            /**
             * Changed At
             * Format: date-time
             */
            changed_at: string;
            /** Revision */
            revision: number;
            /** Step Count */
            step_count: number;
            /** Binned At */
            binned_at?: string | null;
        };
        /**
         * DesignChange
         * @description Another name, or another unit to be shown in; what is left out stays.
         */
        DesignChange: {
            /** Name */
            name?: string | null;
            /** Unit */
            unit?: ("mm" | "cm" | "in") | null;
        };
        /**
         * DesignState
         * @description A design as it stands. ``head`` is the index of the present step in ``steps``.
         *
         *     Of a long list ``steps`` are those about the present one; ``earlier`` and ``later`` count the others.
         */
        DesignState: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /**
             * Unit
             * @enum {string}
             */
            unit: "mm" | "cm" | "in";
            /** Revision */
            revision: number;
            /** Pieces */
            pieces: components["schemas"]["PieceState"][];
            /** References */
            references: (components["schemas"]["PictureState"] | components["schemas"]["ComponentState"])[];
            /** Proofs */
            proofs: (components["schemas"]["Angle-Output"] | components["schemas"]["Bends-Output"] | components["schemas"]["BoreHeld-Output"] | components["schemas"]["CentreOfMass-Output"] | components["schemas"]["ClearanceKept-Output"] | components["schemas"]["Deviation-Output"] | components["schemas"]["Distance-Output"] | components["schemas"]["Draft-Output"] | components["schemas"]["FitsIn-Output"] | components["schemas"]["GapKept-Output"] | components["schemas"]["LengthAlong-Output"] | components["schemas"]["Overhang-Output"] | components["schemas"]["Round-Output"] | components["schemas"]["SeamEven-Output"] | components["schemas"]["SizeHeld-Output"] | components["schemas"]["Sound-Output"] | components["schemas"]["StandsUp-Output"] | components["schemas"]["Symmetric-Output"] | components["schemas"]["Wall-Output"] | components["schemas"]["WeighsAtMost-Output"])[];
            /** Stamps */
            stamps: components["schemas"]["StampState"][];
            /** Steps */
            steps: components["schemas"]["StepState"][];
            /** Earlier */
            earlier: number;
            /** Later */
            later: number;
            /** Head */
            head: number;
            selected: components["schemas"]["SelectedState"] | null;
        };
        /**
         * Detach
         * @description Part the picked faces from the rest: within the piece, or ``as_piece`` into one of their own.
         */
        Detach: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "detach";
            /**
             * As Piece
             * @default false
             */
            as_piece?: boolean;
        };
        /**
         * Deviation
         * @description Its surface lies within ``most`` mm of the piece ``other``, or of a ``component``, everywhere.
         */
        "Deviation-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Component
             * @default
             */
            component?: string;
            /**
             * Most
             * @default 0.5
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "deviation";
        };
        /**
         * Deviation
         * @description Its surface lies within ``most`` mm of the piece ``other``, or of a ``component``, everywhere.
         */
        "Deviation-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Component
             * @default
             */
            component?: string;
            /**
             * Most
             * @default 0.5
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "deviation";
        };
        /**
         * Distance
         * @description How far the second place is from the first: straight, square to the first's line or plane, or along an axis.
         */
        "Distance-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            first?: components["schemas"]["Spot-Input"];
            second?: components["schemas"]["Spot-Input"];
            /**
             * Way
             * @default square
             * @enum {string}
             */
            way?: "straight" | "square" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "distance";
        };
        /**
         * Distance
         * @description How far the second place is from the first: straight, square to the first's line or plane, or along an axis.
         */
        "Distance-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            first?: components["schemas"]["Spot-Output"];
            second?: components["schemas"]["Spot-Output"];
            /**
             * Way
             * @default square
             * @enum {string}
             */
            way?: "straight" | "square" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "distance";
        };
        /**
         * Draft
         * @description No wall is steeper than ``least`` degrees of draft along a direction, so that a mould comes off both ways.
         *
         *     What faces along the direction comes off that way, what faces against it the other way; between them lie steep walls.
         */
        "Draft-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "draft";
        };
        /**
         * Draft
         * @description No wall is steeper than ``least`` degrees of draft along a direction, so that a mould comes off both ways.
         *
         *     What faces along the direction comes off that way, what faces against it the other way; between them lie steep walls.
         */
        "Draft-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "draft";
        };
        /**
         * DrawCurve
         * @description A curve drawn point by point: "through" the points, pulled by them as "control" points, or "straight" between them.
         */
        DrawCurve: {
            /**
             * Name
             * @default Curve
             */
            name?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "draw-curve";
            /** Points */
            points: [
                number,
                number,
                number
            ][];
            /**
             * Closed
             * @default false
             */
            closed?: boolean;
            /**
             * Way
             * @default through
             * @enum {string}
             */
            way?: "through" | "control" | "straight";
        };
        /**
         * DrawFreehand
         * @description The curve along a stroke of a hand: within ``tolerance`` mm of its ``points`` where a curve can, by few points.
         *
         *     What the hand shook is evened out; where it turned sharply the curve has a corner.
         */
        DrawFreehand: {
            /**
             * Name
             * @default Curve
             */
            name?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "draw-freehand";
            /** Points */
            points: [
                number,
                number,
                number
            ][];
            /**
             * Closed
             * @default false
             */
            closed?: boolean;
            /**
             * Tolerance
             * @default 0.5
             */
            tolerance?: number;
        };
        /**
         * DrawWire
         * @description A round wire along a smooth curve through ``points``, closed to a ring or with flat or open ends: two pieces, the
         *     curve and the pipe that follows it.
         *
         *     The ``diameter`` is that of the smooth surface. Where the curve bends tighter than the wire is thick, it says so.
         */
        DrawWire: {
            /**
             * Name
             * @default Wire
             */
            name?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "draw-wire";
            /** Points */
            points: [
                number,
                number,
                number
            ][];
            /**
             * Closed
             * @default false
             */
            closed?: boolean;
            /**
             * Diameter
             * @default 2
             */
            diameter?: number;
            /**
             * Around
             * @default 8
             */
            around?: number;
            /**
             * Each
             * @default 3
             */
            each?: number;
            /**
             * Ends
             * @default flat
             * @enum {string}
             */
            ends?: "flat" | "round" | "open";
        };
        /**
         * DuplicatePiece
         * @description Put down a copy of a piece, ``offset`` mm away, under a name of its own.
         */
        DuplicatePiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "duplicate-piece";
            /** Piece */
            piece: string;
            /**
             * Offset
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            offset?: [
                number,
                number,
                number
            ];
        };
        /** EllipseOutline */
        EllipseOutline: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            shape: "ellipse";
            /** Width */
            width: number;
            /** Height */
            height: number;
        };
        /**
         * ExtendCurve
         * @description Make an open curve longer ``by`` so many mm at one end, straight on or bending on as it does; below 0 shorter.
         */
        ExtendCurve: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "extend-curve";
            /**
             * By
             * @default 5
             */
            by?: number;
            /**
             * End
             * @default last
             * @enum {string}
             */
            end?: "last" | "first";
            /**
             * Onwards
             * @default straight
             * @enum {string}
             */
            onwards?: "straight" | "bending";
        };
        /**
         * Extrude
         * @description Extrude the picked faces by ``distance`` mm, or grow strips from picked edges of an open border.
         *
         *     - way "even": an even wall, every face moves by the distance along its own normal
         *     - "mean": each connected region along its own mean normal
         *     - "each": each face by itself
         *     - "point": away from a ``point``
         */
        Extrude: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * Segments
             * @default 1
             */
            segments?: number;
            /**
             * Taper
             * @default 1
             */
            taper?: number;
            /**
             * Degrees
             * @default 0
             */
            degrees?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "extrude";
            /** Distance */
            distance: number;
            /**
             * Way
             * @default mean
             * @enum {string}
             */
            way?: "even" | "mean" | "each" | "point";
            /** Point */
            point?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * ExtrudeAlong
         * @description Extrude faces, or edges of an open border, by a ``vector`` in mm.
         */
        ExtrudeAlong: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * Segments
             * @default 1
             */
            segments?: number;
            /**
             * Taper
             * @default 1
             */
            taper?: number;
            /**
             * Degrees
             * @default 0
             */
            degrees?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "extrude-along";
            /** Vector */
            vector: [
                number,
                number,
                number
            ];
        };
        /**
         * FaceSet
         * @description The faces of a named set.
         */
        FaceSet: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "face-set";
            /** Name */
            name: string;
        };
        /**
         * FarEnd
         * @description An end that was picked earlier, on this piece or on another.
         */
        FarEnd: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
        };
        /**
         * Fill
         * @description Fill the holes at what is picked: with "quads", with "rings" that lead on what is around, or with a single "face".
         *
         *     ``turned`` rolls the grid of quads on. On a symmetric piece the grid is turned so that it is symmetric too.
         */
        Fill: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fill";
            /**
             * Way
             * @default quads
             * @enum {string}
             */
            way?: "quads" | "rings" | "face";
            /**
             * Rings
             * @default 1
             */
            rings?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
        };
        /**
         * FillDrawn
         * @description A patch of quads within points drawn on a plane, joined smoothly or by straight lines; it looks ``towards``.
         */
        FillDrawn: {
            /**
             * Name
             * @default Patch
             */
            name?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fill-drawn";
            /** Points */
            points: [
                number,
                number,
                number
            ][];
            /** Towards */
            towards: [
                number,
                number,
                number
            ];
            /**
             * Smooth
             * @default true
             */
            smooth?: boolean;
            /** Around */
            around: number;
            /**
             * Rings
             * @default 1
             */
            rings?: number;
        };
        /**
         * FillOutline
         * @description A patch of quads in a circle, an ellipse or a rounded rectangle, ``around`` faces along its border.
         */
        FillOutline: {
            /**
             * Name
             * @default Patch
             */
            name?: string;
            /**
             * Centre
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            centre?: [
                number,
                number,
                number
            ];
            /**
             * Stands
             * @default z
             * @enum {string}
             */
            stands?: "x" | "y" | "z";
            /**
             * Size Of
             * @default cage
             * @enum {string}
             */
            size_of?: "surface" | "cage";
            /**
             * Keep
             * @default whole
             * @enum {string}
             */
            keep?: "whole" | "x" | "y" | "z";
            /**
             * Half
             * @default mirrored
             * @enum {string}
             */
            half?: "mirrored" | "alone";
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fill-outline";
            /** Outline */
            outline: components["schemas"]["CircleOutline"] | components["schemas"]["EllipseOutline"] | components["schemas"]["RoundedOutline"];
            /** Around */
            around: number;
            /**
             * Rings
             * @default 1
             */
            rings?: number;
        };
        /**
         * Filled
         * @description ``source`` filled with quads, ``around`` faces along its border, and ``rings`` of faces before the middle.
         */
        "Filled-Input": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Around
             * @default 12
             */
            around?: number;
            /**
             * Rings
             * @default 1
             */
            rings?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "filled";
        };
        /**
         * Filled
         * @description ``source`` filled with quads, ``around`` faces along its border, and ``rings`` of faces before the middle.
         */
        "Filled-Output": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Around
             * @default 12
             */
            around?: number;
            /**
             * Rings
             * @default 1
             */
            rings?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "filled";
        };
        /**
         * Fillet
         * @description Round edges by ``radius`` mm; with ``end_radius``, from one to the other along an axis.
         *
         *     A variable radius goes from ``radius`` at the lowest point of the edges along ``axis`` to ``end_radius`` at the highest.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.followers.trim import Trim
         *     >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> rounded = Fillet("f2", between=("f1", "piece"), radius=2.0)
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, rounded)))
         *     >>> [note.status for note in made.notes]
         *     ['done', 'done']
         */
        "Fillet-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Between
             * @default [
             *       "piece",
             *       "piece"
             *     ]
             */
            between?: [
                string,
                string
            ];
            /** Near */
            near?: [
                number,
                number,
                number
            ] | null;
            /**
             * Radius
             * @default 1
             */
            radius?: number;
            /** End Radius */
            end_radius?: number | null;
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fillet";
        };
        /**
         * Fillet
         * @description Round edges by ``radius`` mm; with ``end_radius``, from one to the other along an axis.
         *
         *     A variable radius goes from ``radius`` at the lowest point of the edges along ``axis`` to ``end_radius`` at the highest.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.followers.trim import Trim
         *     >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> rounded = Fillet("f2", between=("f1", "piece"), radius=2.0)
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, rounded)))
         *     >>> [note.status for note in made.notes]
         *     ['done', 'done']
         */
        "Fillet-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Between
             * @default [
             *       "piece",
             *       "piece"
             *     ]
             */
            between?: [
                string,
                string
            ];
            /** Near */
            near?: [
                number,
                number,
                number
            ] | null;
            /**
             * Radius
             * @default 1
             */
            radius?: number;
            /** End Radius */
            end_radius?: number | null;
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fillet";
        };
        /**
         * FinderAsk
         * @description Edges by what made the faces beside them, a wished radius in mm, and before which follower they are looked at.
         *
         *     With ``near``, only the chain of edges that comes nearest to that point.
         */
        FinderAsk: {
            /** Between */
            between: [
                string,
                string
            ];
            /** Near */
            near?: [
                number,
                number,
                number
            ] | null;
            /** Radius */
            radius: number;
            /** Before */
            before?: string | null;
            /**
             * Seconds
             * @description for one try
             * @default 20
             */
            seconds?: number;
            /**
             * Budget
             * @description seconds in all; then the best so far is told
             * @default 90
             */
            budget?: number;
        };
        /**
         * FinishPiece
         * @description Say what a piece is of in pictures: clay, a metal, glass. Its form and its solid are the same.
         */
        FinishPiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "finish-piece";
            /** Piece */
            piece: string;
            /**
             * Finish
             * @enum {string}
             */
            finish: "clay" | "glazed" | "plastic" | "rubber" | "glass" | "resin" | "gold" | "gold-brushed" | "rose-gold" | "silver" | "silver-brushed" | "copper" | "steel" | "aluminium";
        };
        /**
         * FitBore
         * @description All that lies within a cylinder of a ``diameter`` mm about the axis through ``point`` is cut away.
         *
         *     >>> from zinc_otter.core.primitives.ring import ring_band
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> band = ring_band(16.0, (4, 4), (2, 2), "court", 16)
         *     >>> made = made_of_triangles(Recipe("Ring", band, (FitBore("f1", diameter=16.4),)))
         *     >>> made.notes[0].status, made.notes[0].words
         *     ('done', '')
         */
        "FitBore-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Diameter
             * @default 17.3
             */
            diameter?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fit-bore";
        };
        /**
         * FitBore
         * @description All that lies within a cylinder of a ``diameter`` mm about the axis through ``point`` is cut away.
         *
         *     >>> from zinc_otter.core.primitives.ring import ring_band
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> band = ring_band(16.0, (4, 4), (2, 2), "court", 16)
         *     >>> made = made_of_triangles(Recipe("Ring", band, (FitBore("f1", diameter=16.4),)))
         *     >>> made.notes[0].status, made.notes[0].words
         *     ('done', '')
         */
        "FitBore-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Diameter
             * @default 17.3
             */
            diameter?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fit-bore";
        };
        /**
         * FitComponent
         * @description Lay a component onto the surface of a piece where it fits best, from where it lies now.
         */
        FitComponent: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fit-component";
            /** Reference */
            reference: string;
            /** Onto */
            onto: string;
        };
        /**
         * FitTheBore
         * @description The bore of a piece's surface becomes so wide: its inside moves, or all of it.
         */
        FitTheBore: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "move-bore";
            /** Piece */
            piece: string;
            /**
             * Diameter
             * @description or a size: US 7, ISO 54, UK N, JP 14
             */
            diameter: number;
            /**
             * Moved
             * @default inside
             * @enum {string}
             */
            moved?: "inside" | "all";
        };
        /**
         * FitsIn
         * @description It fits into a box of ``size`` mm, turned by quarters if that helps and ``turned`` allows it.
         */
        "FitsIn-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Size
             * @default [
             *       100,
             *       100,
             *       100
             *     ]
             */
            size?: [
                number,
                number,
                number
            ];
            /**
             * Turned
             * @default true
             */
            turned?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fits-in";
        };
        /**
         * FitsIn
         * @description It fits into a box of ``size`` mm, turned by quarters if that helps and ``turned`` allows it.
         */
        "FitsIn-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Size
             * @default [
             *       100,
             *       100,
             *       100
             *     ]
             */
            size?: [
                number,
                number,
                number
            ];
            /**
             * Turned
             * @default true
             */
            turned?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fits-in";
        };
        /**
         * Flatten
         * @description Move what is picked straight into a plane, by a ``share`` of the way: the plane that fits best, or of a ``normal``.
         *
         *     It goes through ``point``, or through the middle of the picked.
         */
        Flatten: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * Share
             * @default 1
             */
            share?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "flatten";
            /** Normal */
            normal?: [
                number,
                number,
                number
            ] | null;
            /** Point */
            point?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * Flip
         * @description Turn whole shells over, outside in: every shell of which something is picked.
         */
        Flip: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "flip";
        };
        /**
         * Flush
         * @description A seat of the stone's own form, open above; ``bright`` mm of the edge in the surface are cut off at 45 degrees.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 10.0
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Flush("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Flush-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Bright
             * @default 0.15
             */
            bright?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "flush";
        };
        /**
         * Flush
         * @description A seat of the stone's own form, open above; ``bright`` mm of the edge in the surface are cut off at 45 degrees.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 10.0
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Flush("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Flush-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Bright
             * @default 0.15
             */
            bright?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "flush";
        };
        /**
         * ForgetFaces
         * @description Take the name from a set of faces.
         */
        ForgetFaces: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "forget-faces";
            /** Piece */
            piece: string;
            /** Name */
            name: string;
        };
        /**
         * ForgetStamp
         * @description Take a stamp away; what was pressed with it stays.
         */
        ForgetStamp: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "forget-stamp";
            /** Stamp */
            stamp: string;
        };
        /**
         * FoundChain
         * @description One chain of edges: the largest radius that holds on it alone, points on it, and where it breaks beyond that.
         */
        FoundChain: {
            /** Holds */
            holds: number;
            /** Line */
            line: [
                number,
                number,
                number
            ][];
            /** Tries */
            tries: components["schemas"]["TryState"][];
            /** Breaks At */
            breaks_at: [
                number,
                number,
                number
            ] | null;
            /**
             * Bend
             * @description the room in mm where it breaks
             */
            bend: number | null;
            /** Reason */
            reason: string;
        };
        /**
         * FoundState
         * @description What the fillet finder found: ``radius`` holds on all chains together, ``by_triangles`` on the mesh route.
         *
         *     ``ended``: "found", or "time" where the budget ran out with the best so far.
         */
        FoundState: {
            /** Wished */
            wished: number;
            /** Radius */
            radius: number;
            /** Chains */
            chains: components["schemas"]["FoundChain"][];
            /** Tries */
            tries: components["schemas"]["TryState"][];
            /**
             * By Triangles
             * @default 0
             */
            by_triangles?: number;
            /**
             * Ended
             * @default found
             * @enum {string}
             */
            ended?: "found" | "time";
        };
        /**
         * GapKept
         * @description At least ``least`` mm lie between it and the piece ``other``.
         */
        "GapKept-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Least
             * @default 0.3
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "gap";
        };
        /**
         * GapKept
         * @description At least ``least`` mm lie between it and the piece ``other``.
         */
        "GapKept-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Least
             * @default 0.3
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "gap";
        };
        /**
         * GivenCurve
         * @description Control points in mm, a degree, and the sharpness of corners by their number.
         */
        GivenCurve: {
            /** Name */
            name: string;
            /** Points */
            points: [
                number,
                number,
                number
            ][];
            /**
             * Degree
             * @default 3
             * @enum {integer}
             */
            degree?: 1 | 2 | 3;
            /**
             * Closed
             * @default false
             */
            closed?: boolean;
            /**
             * Corners
             * @default []
             */
            corners?: [
                number,
                number
            ][];
        };
        /**
         * GroupPieces
         * @description Put pieces into a group of a name, or with no name take them out of theirs.
         */
        GroupPieces: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "group-pieces";
            /** Pieces */
            pieces: string[];
            /** Group */
            group: string | null;
        };
        /**
         * Grow
         * @description Put down a piece that grows from others and goes on following them.
         */
        Grow: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "grow";
            /** Growth */
            growth: components["schemas"]["Combined-Input"] | components["schemas"]["Filled-Input"] | components["schemas"]["Laid-Input"] | components["schemas"]["Loft-Input"] | components["schemas"]["MirroredCopy-Input"] | components["schemas"]["Pipe-Input"] | components["schemas"]["Repeat-Input"] | components["schemas"]["Section-Input"] | components["schemas"]["Skin-Input"] | components["schemas"]["Stones-Input"] | components["schemas"]["Strip-Input"] | components["schemas"]["Sweep-Input"] | components["schemas"]["Threaded-Input"] | components["schemas"]["Turned-Input"];
            /** Name */
            name?: string | null;
        };
        /**
         * Heal
         * @description Take edges away: the picked, those at picked vertices, or those within picked faces. Faces grow together.
         */
        Heal: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "heal";
        };
        /**
         * Hollow
         * @description All that lies deeper than ``wall`` mm is taken out. ``opening`` cuts the wall off beyond a plane.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Hollow("f1", wall=2.0),)))
         *     >>> made.notes[0].status, bool(made.body.volume < 12_000)
         *     ('done', True)
         */
        "Hollow-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Wall
             * @default 2
             */
            wall?: number;
            /**
             * Vents
             * @default []
             */
            vents?: components["schemas"]["Vent-Input"][];
            /** Opening */
            opening?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "hollow";
        };
        /**
         * Hollow
         * @description All that lies deeper than ``wall`` mm is taken out. ``opening`` cuts the wall off beyond a plane.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Hollow("f1", wall=2.0),)))
         *     >>> made.notes[0].status, bool(made.body.volume < 12_000)
         *     ('done', True)
         */
        "Hollow-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Wall
             * @default 2
             */
            wall?: number;
            /**
             * Vents
             * @default []
             */
            vents?: components["schemas"]["Vent-Output"][];
            /** Opening */
            opening?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "hollow";
        };
        /**
         * ImportedBody
         * @description A solid that was brought in, by its asset: ``turned`` by so many degrees about x, then y, then z, its origin then put
         *     to ``point``.
         */
        "ImportedBody-Input": {
            /** Asset */
            asset: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Turned
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            turned?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default imported
             * @constant
             */
            kind: "imported";
        };
        /**
         * ImportedBody
         * @description A solid that was brought in, by its asset: ``turned`` by so many degrees about x, then y, then z, its origin then put
         *     to ``point``.
         */
        "ImportedBody-Output": {
            /** Asset */
            asset: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Turned
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            turned?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default imported
             * @constant
             */
            kind: "imported";
        };
        /**
         * InHand
         * @description What is in hand when a tool is taken up.
         */
        InHand: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            far?: components["schemas"]["FarEnd"] | null;
        };
        /**
         * Inset
         * @description A ring of faces ``width`` mm wide within the rim of the picked, the inner faces ``depth`` mm along their normals.
         *
         *     With ``apart`` each face by itself.
         */
        Inset: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "inset";
            /** Width */
            width: number;
            /**
             * Depth
             * @default 0
             */
            depth?: number;
            /**
             * Apart
             * @default false
             */
            apart?: boolean;
        };
        /**
         * JobReport
         * @description How a job stands; ``progress`` runs from 0 to 1. Where it failed at a place, that is named.
         */
        JobReport: {
            /** Id */
            id: string;
            /** Status */
            status: string;
            /** Progress */
            progress: number;
            /** Words */
            words: string;
            place?: components["schemas"]["PlaceSchema"] | null;
        };
        /**
         * JoinCurves
         * @description Join two open curves at their nearest ends; the first piece stays.
         */
        JoinCurves: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "join-curves";
            /** Other */
            other: string;
        };
        /**
         * JoinPieces
         * @description Make several pieces one, the first of them; each stays as it stands, and nothing is welded.
         */
        JoinPieces: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "join-pieces";
            /** Pieces */
            pieces: string[];
        };
        JsonValue: unknown;
        /**
         * KeepVariant
         * @description Keep one of an original and its variants, under the original's name; the others are deleted.
         */
        KeepVariant: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "keep-variant";
            /** Piece */
            piece: string;
        };
        /**
         * KeepingState
         * @description Where designs are kept, and the bytes that they take.
         */
        KeepingState: {
            /** Folder */
            folder: string;
            /**
             * Reading
             * @description why designs are only read here; empty as a rule
             */
            reading: string;
            /**
             * Designs
             * @description bytes of all designs with their steps, pictures and meshes
             */
            designs: number;
            /**
             * Made
             * @description bytes of solids, pictures and files that were made of them and can be made again
             */
            made: number;
            /**
             * Copies
             * @description bytes of the copies of earlier days
             */
            copies: number;
            /**
             * Made Days
             * @description days after which what was made and not asked for again is swept
             */
            made_days: number;
            /**
             * Copy Days
             * @description how many days that were worked are kept as copies
             */
            copy_days: number;
        };
        /**
         * KeyedJob
         * @description A job, and the key by which its result is fetched.
         */
        KeyedJob: {
            job: components["schemas"]["JobReport"];
            /** Key */
            key: string;
        };
        /**
         * Knife
         * @description Cut the picked faces, or with a piece picked all of it, along the plane through ``point`` with a ``normal``.
         *
         *     Vertices within ``near`` mm are used for the cut and drawn into the plane. ``keep`` a side, or both; ``leave`` them
         *     "joined", "open" or "filled" with a ``cap``. The edges of the cut get a ``sharpness``. Of a symmetric piece every image
         *     of the plane goes "through" the whole, or "each" through its own part alone, as a mitre does.
         */
        Knife: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "knife";
            /** Point */
            point: [
                number,
                number,
                number
            ];
            /** Normal */
            normal: [
                number,
                number,
                number
            ];
            /**
             * Near
             * @default 0
             */
            near?: number;
            /**
             * Keep
             * @default both
             * @enum {string}
             */
            keep?: "both" | "positive" | "negative";
            /**
             * Leave
             * @default joined
             * @enum {string}
             */
            leave?: "joined" | "open" | "filled";
            /**
             * Cap
             * @default face
             * @enum {string}
             */
            cap?: "face" | "quads";
            /**
             * Sides
             * @default through
             * @enum {string}
             */
            sides?: "through" | "each";
            /**
             * Sharpness
             * @default 0
             */
            sharpness?: number;
        };
        /**
         * Laid
         * @description ``curve`` where it lies nearest on ``onto``, ``above`` mm over its surface; as many control points, corners kept.
         */
        "Laid-Input": {
            /**
             * Curve
             * @default
             */
            curve?: string;
            /**
             * Onto
             * @default
             */
            onto?: string;
            /**
             * Above
             * @default 0
             */
            above?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "laid";
        };
        /**
         * Laid
         * @description ``curve`` where it lies nearest on ``onto``, ``above`` mm over its surface; as many control points, corners kept.
         */
        "Laid-Output": {
            /**
             * Curve
             * @default
             */
            curve?: string;
            /**
             * Onto
             * @default
             */
            onto?: string;
            /**
             * Above
             * @default 0
             */
            above?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "laid";
        };
        /**
         * LaidBy
         * @description By what rule they were laid, so that it can be taken up again; lengths in mm.
         *
         *     - "points": where they were clicked, ``points``
         *     - "round": from each of ``points`` again, ``count`` times round the axis ``along`` through ``point``
         *     - "faces": evenly over ``ids``, faces of the form, ``gap`` apart
         *     - "curve": along a curve, by ``count`` or ``gap`` likewise; a single one lies ``at`` a share of its length
         *     - "edges": along the chain ``ids`` of edges, by ``count``, or where that is 0 ``gap`` apart
         */
        "LaidBy-Input": {
            /**
             * Way
             * @default points
             * @enum {string}
             */
            way?: "points" | "round" | "faces" | "edges" | "curve";
            /**
             * Points
             * @default []
             */
            points?: [
                number,
                number,
                number
            ][];
            /**
             * Ids
             * @default []
             */
            ids?: number[];
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Gap
             * @default 0.2
             */
            gap?: number;
            /**
             * At
             * @default 0.5
             */
            at?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
        };
        /**
         * LaidBy
         * @description By what rule they were laid, so that it can be taken up again; lengths in mm.
         *
         *     - "points": where they were clicked, ``points``
         *     - "round": from each of ``points`` again, ``count`` times round the axis ``along`` through ``point``
         *     - "faces": evenly over ``ids``, faces of the form, ``gap`` apart
         *     - "curve": along a curve, by ``count`` or ``gap`` likewise; a single one lies ``at`` a share of its length
         *     - "edges": along the chain ``ids`` of edges, by ``count``, or where that is 0 ``gap`` apart
         */
        "LaidBy-Output": {
            /**
             * Way
             * @default points
             * @enum {string}
             */
            way?: "points" | "round" | "faces" | "edges" | "curve";
            /**
             * Points
             * @default []
             */
            points?: [
                number,
                number,
                number
            ][];
            /**
             * Ids
             * @default []
             */
            ids?: number[];
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Gap
             * @default 0.2
             */
            gap?: number;
            /**
             * At
             * @default 0.5
             */
            at?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
        };
        /**
         * LayByRegion
         * @description Lay a component by a region of it: the plane nearest to all within ``radius`` mm of ``places`` comes to lie across an
         *     ``axis``, at 0, or the axis of the cylinder there along it; turned and moved as little as that takes.
         */
        LayByRegion: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lay-by-region";
            /** Reference */
            reference: string;
            /** Places */
            places: [
                number,
                number,
                number
            ][];
            /**
             * Radius
             * @default 5
             */
            radius?: number;
            /**
             * What
             * @default plane
             * @enum {string}
             */
            what?: "plane" | "axis";
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
        };
        /**
         * LayChain
         * @description Links through one another along the curve ``curve``: one link, hidden, and its images along it.
         *
         *     Pull the curve and there are more or fewer of them; pull the link and all of them follow. Each has at least ``play`` mm
         *     to the next; round a closed curve they are an even number.
         */
        LayChain: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lay-chain";
            /** Curve */
            curve: string;
            /**
             * Name
             * @default Chain
             */
            name?: string;
            /**
             * Wire
             * @description or a gauge: 18 ga
             * @default 1
             */
            wire?: number;
            /**
             * Length
             * @default 6
             */
            length?: number;
            /**
             * Width
             * @default 3
             */
            width?: number;
            /**
             * Play
             * @default 0.1
             */
            play?: number;
            /**
             * Around
             * @default 8
             */
            around?: number;
        };
        /**
         * LayFace
         * @description Add a face of three or four corners: points in mm, and vertices of the piece by their index.
         *
         *     Two vertices together are both ends of an edge: which of them comes first is the one that lets no sides cross.
         *     Without a ``piece`` it is the first face of a new one. Where no neighbour decides, it looks ``towards`` a direction.
         */
        LayFace: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lay-face";
            /** Piece */
            piece?: string | null;
            /**
             * Name
             * @default Laid sheet
             */
            name?: string;
            /** Corners */
            corners: (number | [
                number,
                number
            ] | [
                number,
                number,
                number
            ])[];
            /** Towards */
            towards: [
                number,
                number,
                number
            ];
        };
        /**
         * LayStones
         * @description Lay stones of a cut and a material on the form ``host``, or along ``curve``; see ``LaidBy`` for the ways.
         *
         *     With ``piece`` those of that piece are laid anew; its name stays. With ``carats`` the stones are as large as they have to
         *     be to weigh that much each.
         */
        LayStones: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lay-stones";
            /** Piece */
            piece?: string | null;
            /** Name */
            name?: string | null;
            /**
             * Host
             * @default
             */
            host?: string;
            /**
             * Curve
             * @default
             */
            curve?: string;
            /** Cut */
            cut: components["schemas"]["Baguette-Input"] | components["schemas"]["Cabochon-Input"] | components["schemas"]["CushionBrilliant-Input"] | components["schemas"]["MarquiseBrilliant-Input"] | components["schemas"]["OvalBrilliant-Input"] | components["schemas"]["PearBrilliant-Input"] | components["schemas"]["Pearl-Input"] | components["schemas"]["RectangularBrilliant-Input"] | components["schemas"]["RoseCut-Input"] | components["schemas"]["RoundBrilliant-Input"] | components["schemas"]["StepCut-Input"] | components["schemas"]["TrillionBrilliant-Input"];
            /**
             * Material
             * @default diamond
             */
            material?: string;
            /** Carats */
            carats?: number | null;
            /**
             * Way
             * @default points
             * @enum {string}
             */
            way?: "points" | "round" | "faces" | "edges" | "curve";
            /**
             * Points
             * @default []
             */
            points?: [
                number,
                number,
                number
            ][];
            /**
             * Ids
             * @default []
             */
            ids?: number[];
            /**
             * Count
             * @default 0
             */
            count?: number;
            /**
             * Gap
             * @default 0.2
             */
            gap?: number;
            /**
             * At
             * @default 0.5
             */
            at?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
        };
        /**
         * LengthAlong
         * @description How long the surface is along some edges, or a curve along legs of its polygon; ``edges`` by their two vertices.
         */
        "LengthAlong-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Edges
             * @default []
             */
            edges?: [
                number,
                number
            ][];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "length";
        };
        /**
         * LengthAlong
         * @description How long the surface is along some edges, or a curve along legs of its polygon; ``edges`` by their two vertices.
         */
        "LengthAlong-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Edges
             * @default []
             */
            edges?: [
                number,
                number
            ][];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "length";
        };
        /**
         * LetBack
         * @description Take back all that was pulled by hand on a grown piece.
         */
        LetBack: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "let-back";
            /** Piece */
            piece: string;
        };
        /**
         * LineUp
         * @description Move what is picked straight onto a line: the one that fits best, or ``along`` a direction, through ``point`` or
         *     the middle; with ``even`` a chain's vertices at even distances.
         */
        LineUp: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * Share
             * @default 1
             */
            share?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "line-up";
            /** Along */
            along?: [
                number,
                number,
                number
            ] | null;
            /** Point */
            point?: [
                number,
                number,
                number
            ] | null;
            /**
             * Even
             * @default false
             */
            even?: boolean;
        };
        /**
         * LockPiece
         * @description Lock a piece against changes, or unlock it, and those of its group with it where that is wished.
         */
        LockPiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lock-piece";
            /** Piece */
            piece: string;
            /** Locked */
            locked: boolean;
            /**
             * With Group
             * @default true
             */
            with_group?: boolean;
        };
        /**
         * Loft
         * @description The surface through ``curves`` (ids), in the order in which they lie; ``count`` points round where it is above 0.
         *
         *     Closed curves may have flat ``ends``. With ``mended`` false their order, directions and beginnings are those given.
         */
        "Loft-Input": {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Each
             * @default 1
             */
            each?: number;
            /**
             * Count
             * @default 0
             */
            count?: number;
            /**
             * Closed
             * @default false
             */
            closed?: boolean;
            /**
             * Ends
             * @default open
             * @enum {string}
             */
            ends?: "open" | "flat";
            /**
             * Mended
             * @default true
             */
            mended?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "loft";
        };
        /**
         * Loft
         * @description The surface through ``curves`` (ids), in the order in which they lie; ``count`` points round where it is above 0.
         *
         *     Closed curves may have flat ``ends``. With ``mended`` false their order, directions and beginnings are those given.
         */
        "Loft-Output": {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Each
             * @default 1
             */
            each?: number;
            /**
             * Count
             * @default 0
             */
            count?: number;
            /**
             * Closed
             * @default false
             */
            closed?: boolean;
            /**
             * Ends
             * @default open
             * @enum {string}
             */
            ends?: "open" | "flat";
            /**
             * Mended
             * @default true
             */
            mended?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "loft";
        };
        /**
         * Loop
         * @description The loops through the picked; a single vertex or face takes its direction from the edge ``towards``.
         */
        Loop: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "loop";
            /** Towards */
            towards?: number | null;
        };
        /**
         * MachineAsk
         * @description What the simulated print bench can do; mm, mm/s, degrees, g/cm³, a share of fill.
         */
        MachineAsk: {
            /**
             * Bed
             * @default [
             *       220,
             *       220,
             *       250
             *     ]
             */
            bed?: [
                number,
                number,
                number
            ];
            /**
             * Layer
             * @default 0.2
             */
            layer?: number;
            /**
             * Line
             * @default 0.4
             */
            line?: number;
            /**
             * Least Wall
             * @default 1.2
             */
            least_wall?: number;
            /**
             * Overhang
             * @default 50
             */
            overhang?: number;
            /**
             * Speed
             * @default 60
             */
            speed?: number;
            /**
             * Fill
             * @default 0.15
             */
            fill?: number;
            /**
             * Density
             * @default 1.24
             */
            density?: number;
            /**
             * Process
             * @default filament
             * @enum {string}
             */
            process?: "filament" | "resin" | "powder" | "metal";
        };
        /**
         * MakeIndependent
         * @description Keep the whole of a symmetric piece as it stands, each side on its own; or let a piece follow no longer.
         */
        MakeIndependent: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "make-independent";
            /** Piece */
            piece: string;
        };
        /**
         * MakeTrue
         * @description Bring a dimension to ``value`` (mm, or degrees): ``moved`` is moved along it, sized about its middle, or turned.
         *
         *     Where nothing is named, its second end moves, or of a diameter and a length what they go by. A number that it is held to
         *     becomes this one.
         */
        MakeTrue: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "make-true";
            /** Proof */
            proof: string;
            /** Value */
            value: number;
            moved?: components["schemas"]["FarEnd"] | null;
        };
        /**
         * MakeVariant
         * @description Copy a piece as a numbered variant in the same place, to try another way beside the original.
         *
         *     A variant of a variant counts as one of the same original. The copy begins alone on the screen: the piece it was made
         *     of is hidden, and the two can be compared.
         */
        MakeVariant: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "make-variant";
            /** Piece */
            piece: string;
        };
        /**
         * MarquiseBrilliant
         * @description Two arcs that meet in tips; proportions of the round brilliant, across the width.
         */
        "MarquiseBrilliant-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 10
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "marquise";
        };
        /**
         * MarquiseBrilliant
         * @description Two arcs that meet in tips; proportions of the round brilliant, across the width.
         */
        "MarquiseBrilliant-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 10
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default marquise
             * @constant
             */
            kind: "marquise";
        };
        /** MaterialState */
        MaterialState: {
            /** Name */
            name: string;
            /**
             * Density
             * @description g/cm³
             */
            density: number;
            /** Source */
            source: string;
            /**
             * Group
             * @description "metal" of a jeweller's bench, "wax", or "other"
             */
            group: string;
        };
        /**
         * MeasurePicture
         * @description Size a picture by two points on it, in pixels from its upper left, and the true ``distance`` between them in mm.
         *
         *     The point midway between the two stays where it is.
         */
        MeasurePicture: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "measure-picture";
            /** Reference */
            reference: string;
            /** Start */
            start: [
                number,
                number
            ];
            /** End */
            end: [
                number,
                number
            ];
            /** Distance */
            distance: number;
        };
        /**
         * MeasuredState
         * @description What is measured of the finished body on triangles within ``chord`` mm of it; mm, mm³.
         */
        MeasuredState: {
            /** Triangle Count */
            triangle_count: number;
            /** Chord */
            chord: number;
            /**
             * Mesh Volume
             * @description what the route by triangles found on its own
             */
            mesh_volume: number;
            /** Centre */
            centre: [
                number,
                number,
                number
            ];
            /** Crossings */
            crossings: number;
            /**
             * Thinnest
             * @description the least wall of all sampled places whose two sides face one another
             */
            thinnest: number;
            /** Thinnest At */
            thinnest_at: [
                number,
                number,
                number
            ];
            /** Tolerance */
            tolerance: number;
            /**
             * Followers
             * @description id, name, what became of it, and why
             */
            followers: [
                string,
                string,
                string,
                string
            ][];
        };
        /** MetalLineState */
        MetalLineState: {
            /** Piece */
            piece: string;
            /** Name */
            name: string;
            /**
             * Volume
             * @description mm³
             */
            volume: number;
            /** Bore */
            bore: number | null;
            /** Bore Words */
            bore_words: string;
            /**
             * Count
             * @description bodies by themselves, such as the links of a chain
             */
            count: number;
        };
        /**
         * Mirror
         * @description Mirror a piece in the plane through ``point`` with a ``normal``; a second time, in a plane square to the first.
         *
         *     - "cut": cut a whole body at the plane, keep one side and mirror it
         *     - "follow": leave the whole as it is laid out; the other side follows the kept one
         *     - "open": an open half; its border within ``tolerance`` mm of the plane is drawn into it and joined
         *     - "second": a second piece that follows this one
         *
         *     The side that the normal points to is kept, or with ``keep`` "negative" the other. Of a curve "open" is one that ends at
         *     the plane, or is to be cut there.
         */
        Mirror: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "mirror";
            /** Piece */
            piece: string;
            /**
             * Way
             * @default cut
             * @enum {string}
             */
            way?: "cut" | "follow" | "open" | "second";
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * Keep
             * @default positive
             * @enum {string}
             */
            keep?: "positive" | "negative";
            /**
             * Tolerance
             * @default 0.5
             */
            tolerance?: number;
        };
        /**
         * MirrorBody
         * @description The body and its mirror image in the plane through ``point``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> mirror = MirrorBody("f1", point=(40, 0, 0), normal=(1, 0, 0))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (mirror,)))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
         *     >>> round(made.body.volume / whole.body.volume, 6)
         *     2.0
         */
        "MirrorBody-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "mirror-body";
        };
        /**
         * MirrorBody
         * @description The body and its mirror image in the plane through ``point``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> mirror = MirrorBody("f1", point=(40, 0, 0), normal=(1, 0, 0))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (mirror,)))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
         *     >>> round(made.body.volume / whole.body.volume, 6)
         *     2.0
         */
        "MirrorBody-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "mirror-body";
        };
        /**
         * Mirrored
         * @description The picked and the same on the far side of the plane where ``axis`` is ``at`` mm.
         */
        Mirrored: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "far-side";
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * At
             * @default 0
             */
            at?: number;
        };
        /**
         * MirroredCopy
         * @description The image of ``source`` in a ``plane``.
         */
        "MirroredCopy-Input": {
            /**
             * Source
             * @default
             */
            source?: string;
            /** @default {
             *       "point": [
             *         0,
             *         0,
             *         0
             *       ],
             *       "normal": [
             *         1,
             *         0,
             *         0
             *       ]
             *     } */
            plane?: components["schemas"]["Plane-Input"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "mirrored";
        };
        /**
         * MirroredCopy
         * @description The image of ``source`` in a ``plane``.
         */
        "MirroredCopy-Output": {
            /**
             * Source
             * @default
             */
            source?: string;
            /** @default {
             *       "point": [
             *         0,
             *         0,
             *         0
             *       ],
             *       "normal": [
             *         1,
             *         0,
             *         0
             *       ]
             *     } */
            plane?: components["schemas"]["Plane-Output"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "mirrored";
        };
        /**
         * Move
         * @description Move by ``vector`` in mm.
         */
        Move: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            reach?: components["schemas"]["ReachBy"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "move";
            /** Vector */
            vector: [
                number,
                number,
                number
            ];
        };
        /**
         * MoveAlongNormal
         * @description Move by ``distance`` mm along the mean normal: out when positive, in when negative.
         */
        MoveAlongNormal: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            reach?: components["schemas"]["ReachBy"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "move-along-normal";
            /** Distance */
            distance: number;
        };
        /**
         * MoveEach
         * @description Move every vertex by ``distance`` in mm along its own normal.
         */
        MoveEach: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "move-each";
            /** Distance */
            distance: number;
            reach?: components["schemas"]["ReachBy"] | null;
        };
        /**
         * NameFaces
         * @description Keep the picked faces as a set under a name; a set of that name is replaced.
         */
        NameFaces: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "name-faces";
            /** Name */
            name: string;
        };
        /** NewDesign */
        NewDesign: {
            /** Name */
            name: string;
            /**
             * Unit
             * @default mm
             * @enum {string}
             */
            unit?: "mm" | "cm" | "in";
        };
        /** NewName */
        NewName: {
            /** Name */
            name: string;
        };
        /**
         * NumberState
         * @description In mm, degrees, per cent, or plain.
         */
        NumberState: {
            /** Value */
            value: number;
        };
        /** ObjectionState */
        ObjectionState: {
            /** What */
            what: string;
            /** Refuses */
            refuses: boolean;
            /** Words */
            words: string;
            /** Places */
            places: [
                number,
                number,
                number
            ][];
        };
        /**
         * OffsetCurve
         * @description Put down the curve that runs ``distance`` mm beside one, in the plane square to a ``normal``.
         */
        OffsetCurve: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "offset-curve";
            /**
             * Distance
             * @default 2
             */
            distance?: number;
            /**
             * Normal
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
        };
        /**
         * OrderFollowers
         * @description Put a piece's followers into another order; all of their ids are given.
         */
        OrderFollowers: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "order-followers";
            /** Order */
            order: string[];
        };
        /**
         * OrderPiece
         * @description Move a piece to another place (from 0) in the list.
         */
        OrderPiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "order-piece";
            /** Piece */
            piece: string;
            /** Place */
            place: number;
        };
        /**
         * OvalBrilliant
         * @description A round brilliant drawn out; its angles are those across the width.
         */
        "OvalBrilliant-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "oval";
        };
        /**
         * OvalBrilliant
         * @description A round brilliant drawn out; its angles are those across the width.
         */
        "OvalBrilliant-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default oval
             * @constant
             */
            kind: "oval";
        };
        /**
         * Overhang
         * @description Nothing of the surface hangs over by more than ``most`` degrees from upright, as it stands along a direction; what
         *     lies on the floor does not count.
         */
        "Overhang-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Most
             * @default 45
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "overhang";
        };
        /**
         * Overhang
         * @description Nothing of the surface hangs over by more than ``most`` degrees from upright, as it stands along a direction; what
         *     lies on the floor does not count.
         */
        "Overhang-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Most
             * @default 45
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "overhang";
        };
        /**
         * PartCurve
         * @description Part a curve at a picked control point, or wherever the curve of another piece passes it within so many mm.
         *
         *     A closed one is opened there; an open one becomes pieces, of which the first stays what it was. To trim it, ``keep``
         *     one of the parts only.
         */
        PartCurve: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "part-curve";
            picked?: components["schemas"]["Picked"] | null;
            /** By */
            by?: string | null;
            /**
             * Within
             * @default 0.1
             */
            within?: number;
            /**
             * Keep
             * @default all
             * @enum {string}
             */
            keep?: "all" | "longest" | "first" | "last";
        };
        /**
         * PearBrilliant
         * @description A half circle and two arcs that meet in a tip; proportions of the round brilliant, across the width.
         */
        "PearBrilliant-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "pear";
        };
        /**
         * PearBrilliant
         * @description A half circle and two arcs that meet in a tip; proportions of the round brilliant, across the width.
         */
        "PearBrilliant-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default pear
             * @constant
             */
            kind: "pear";
        };
        /**
         * Pearl
         * @description A ball, whole, or drilled from below with a ``bore`` in mm, half or all the way through.
         */
        "Pearl-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Drilled
             * @default whole
             * @enum {string}
             */
            drilled?: "whole" | "half" | "through";
            /**
             * Bore
             * @default 0.8
             */
            bore?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "pearl";
        };
        /**
         * Pearl
         * @description A ball, whole, or drilled from below with a ``bore`` in mm, half or all the way through.
         */
        "Pearl-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Drilled
             * @default whole
             * @enum {string}
             */
            drilled?: "whole" | "half" | "through";
            /**
             * Bore
             * @default 0.8
             */
            bore?: number;
            /**
             * Kind
             * @default pearl
             * @constant
             */
            kind: "pearl";
        };
        /** Pick */
        Pick: {
            /** Rule */
            rule: components["schemas"]["Loop"] | components["schemas"]["Ring"] | components["schemas"]["Band"] | components["schemas"]["Simple"] | components["schemas"]["FaceSet"] | components["schemas"]["Creases"] | components["schemas"]["Similar"] | components["schemas"]["Mirrored"] | components["schemas"]["Convert"];
            picked: components["schemas"]["Picked"];
        };
        /**
         * Picked
         * @description Elements of one kind, by their index in the cage; of kind "piece" the whole piece.
         */
        Picked: {
            /** Kind */
            kind: ("vertex" | "edge" | "face") | "piece";
            /** Ids */
            ids: number[];
        };
        /**
         * PictureAsk
         * @description What a picture is taken by. ``turned`` degrees about z is where the light comes from; ``clear`` is no background.
         *     Pieces are drawn ``apart`` by so many times their distance from the middle; of ``turns`` above 1 so many views are taken
         *     all round; with ``fire`` stones part light into its colours, which takes three times as long.
         */
        PictureAsk: {
            camera: components["schemas"]["CameraAsk"];
            /**
             * Width
             * @default 960
             */
            width?: number;
            /**
             * Height
             * @default 720
             */
            height?: number;
            /**
             * Samples
             * @default 64
             */
            samples?: number;
            /**
             * Light
             * @default tent
             * @enum {string}
             */
            light?: "tent" | "window" | "dusk" | "even";
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Exposure
             * @default 0
             */
            exposure?: number;
            /**
             * Fire
             * @default false
             */
            fire?: boolean;
            /**
             * Background
             * @default floor
             * @enum {string}
             */
            background?: "floor" | "clear";
            cut?: components["schemas"]["CutAsk"] | null;
            /**
             * Apart
             * @default 0
             */
            apart?: number;
            beside?: components["schemas"]["BesideAsk"] | null;
            /**
             * Turns
             * @default 1
             */
            turns?: number;
        };
        /**
         * PictureState
         * @description A reference picture: ``right`` and ``up`` are unit vectors in its plane, ``width`` is in mm.
         */
        PictureState: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "picture";
            /** Id */
            id: string;
            /** Name */
            name: string;
            /** Asset */
            asset: string;
            /** Pixels */
            pixels: [
                number,
                number
            ];
            /** View */
            view: string;
            /** Centre */
            centre: [
                number,
                number,
                number
            ];
            /** Width */
            width: number;
            /** Degrees */
            degrees: number;
            /** Right */
            right: [
                number,
                number,
                number
            ];
            /** Up */
            up: [
                number,
                number,
                number
            ];
            /** Opacity */
            opacity: number;
            /** In Front */
            in_front: boolean;
            /** Visible */
            visible: boolean;
            /** Locked */
            locked: boolean;
        };
        /**
         * PieceBody
         * @description Another piece with its own followers.
         */
        "PieceBody-Input": {
            /** Piece */
            piece: string;
            /**
             * Kind
             * @default piece
             * @constant
             */
            kind: "piece";
        };
        /**
         * PieceBody
         * @description Another piece with its own followers.
         */
        "PieceBody-Output": {
            /** Piece */
            piece: string;
            /**
             * Kind
             * @default piece
             * @constant
             */
            kind: "piece";
        };
        /**
         * PieceState
         * @description One piece without its arrays. ``size`` is the extent of the control points in mm.
         */
        PieceState: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /** Visible */
            visible: boolean;
            /** Locked */
            locked: boolean;
            /** Colour */
            colour: string;
            /**
             * Finish
             * @description what it is of in pictures
             */
            finish: string;
            /**
             * Relief In Solid
             * @description how many levels of its relief its solid holds
             */
            relief_in_solid: number;
            /** Group */
            group: string | null;
            /** Original */
            original: string | null;
            symmetry: components["schemas"]["SymmetryState"] | null;
            /** @description what is measured on a curve; null for a cage */
            curve: components["schemas"]["CurveFacts"] | null;
            /**
             * Grown
             * @description how this piece grows from others
             */
            grown: (components["schemas"]["Combined-Output"] | components["schemas"]["Filled-Output"] | components["schemas"]["Laid-Output"] | components["schemas"]["Loft-Output"] | components["schemas"]["MirroredCopy-Output"] | components["schemas"]["Pipe-Output"] | components["schemas"]["Repeat-Output"] | components["schemas"]["Section-Output"] | components["schemas"]["Skin-Output"] | components["schemas"]["Stones-Output"] | components["schemas"]["Strip-Output"] | components["schemas"]["Sweep-Output"] | components["schemas"]["Threaded-Output"] | components["schemas"]["Turned-Output"]) | null;
            /**
             * Images
             * @description how many images of other pieces it is; 0 where it has a form of its own
             */
            images: number;
            /**
             * Pulled
             * @description how many of its control points were pulled on top of what it grows to
             */
            pulled: number;
            /**
             * Said
             * @description sentences on how true it has grown
             */
            said: string[];
            /**
             * Suspect
             * @description faces where what has grown is not what it promises
             */
            suspect: number[];
            relief: components["schemas"]["ReliefState"] | null;
            /**
             * Face Sets
             * @description names of face sets to their counts
             */
            face_sets: {
                [key: string]: number;
            };
            /** Vertex Count */
            vertex_count: number;
            /** Edge Count */
            edge_count: number;
            /** Face Count */
            face_count: number;
            /** Open Edge Count */
            open_edge_count: number;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /** Digest */
            digest: string;
            /** Followers */
            followers: (components["schemas"]["Beads-Output"] | components["schemas"]["Bezel-Output"] | components["schemas"]["Channel-Output"] | components["schemas"]["Combine-Output"] | components["schemas"]["CutEdge-Output"] | components["schemas"]["Fillet-Output"] | components["schemas"]["FitBore-Output"] | components["schemas"]["Flush-Output"] | components["schemas"]["Hollow-Output"] | components["schemas"]["MirrorBody-Output"] | components["schemas"]["Prongs-Output"] | components["schemas"]["RepeatAlong-Output"] | components["schemas"]["RepeatRound-Output"] | components["schemas"]["ScaleToSize-Output"] | components["schemas"]["Seats-Output"] | components["schemas"]["Sprue-Output"] | components["schemas"]["Thickened-Output"] | components["schemas"]["Trim-Output"] | components["schemas"]["TrimBySheet-Output"])[];
            /**
             * Called
             * @description ids of followers to what they are called
             */
            called: {
                [key: string]: string;
            };
            /**
             * Made From
             * @description changes with everything that the piece's solid is made from
             */
            made_from: string;
        };
        /**
         * Pipe
         * @description A pipe of a ``diameter`` (mm, of its surface) round ``source``; ``around`` and ``each`` are its faces.
         *
         *     Of another ``section`` it is so wide, and a flat one ``thickness`` mm thick. At ``places`` (share of the length, mm) the
         *     diameter is another one. It begins ``turned`` by degrees, and twists by ``twist`` from end to end.
         *
         *     >>> from zinc_otter.core.curve import Curve
         *     >>> Pipe("p1").grow([Curve([(0, 0, 0), (10, 0, 0), (20, 5, 0)])]).form.topology.is_closed
         *     True
         */
        "Pipe-Input": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Diameter
             * @default 2
             */
            diameter?: number;
            /**
             * Around
             * @default 8
             */
            around?: number;
            /**
             * Each
             * @default 3
             */
            each?: number;
            /**
             * Ends
             * @default flat
             * @enum {string}
             */
            ends?: "flat" | "open" | "round";
            /**
             * Twist
             * @default 0
             */
            twist?: number;
            /**
             * Section
             * @default round
             * @enum {string}
             */
            section?: "round" | "square" | "half-round" | "flat";
            /**
             * Thickness
             * @default 1
             */
            thickness?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Places
             * @default []
             */
            places?: [
                number,
                number
            ][];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "pipe";
        };
        /**
         * Pipe
         * @description A pipe of a ``diameter`` (mm, of its surface) round ``source``; ``around`` and ``each`` are its faces.
         *
         *     Of another ``section`` it is so wide, and a flat one ``thickness`` mm thick. At ``places`` (share of the length, mm) the
         *     diameter is another one. It begins ``turned`` by degrees, and twists by ``twist`` from end to end.
         *
         *     >>> from zinc_otter.core.curve import Curve
         *     >>> Pipe("p1").grow([Curve([(0, 0, 0), (10, 0, 0), (20, 5, 0)])]).form.topology.is_closed
         *     True
         */
        "Pipe-Output": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Diameter
             * @default 2
             */
            diameter?: number;
            /**
             * Around
             * @default 8
             */
            around?: number;
            /**
             * Each
             * @default 3
             */
            each?: number;
            /**
             * Ends
             * @default flat
             * @enum {string}
             */
            ends?: "flat" | "open" | "round";
            /**
             * Twist
             * @default 0
             */
            twist?: number;
            /**
             * Section
             * @default round
             * @enum {string}
             */
            section?: "round" | "square" | "half-round" | "flat";
            /**
             * Thickness
             * @default 1
             */
            thickness?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Places
             * @default []
             */
            places?: [
                number,
                number
            ][];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "pipe";
        };
        /**
         * PlaceByPairs
         * @description Lay a component so that points ``here`` on it, as it lies, come as near as can be to those ``there``: three or
         *     more.
         */
        PlaceByPairs: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "place-by-pairs";
            /** Reference */
            reference: string;
            /** Here */
            here: [
                number,
                number,
                number
            ][];
            /** There */
            there: [
                number,
                number,
                number
            ][];
        };
        /**
         * PlaceComponent
         * @description Move a component by a vector, or turn it by ``degrees`` about an ``axis`` through its own origin.
         */
        PlaceComponent: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "place-component";
            /** Reference */
            reference: string;
            /**
             * Vector
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            vector?: [
                number,
                number,
                number
            ];
            /**
             * Axis
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            axis?: [
                number,
                number,
                number
            ];
            /**
             * Degrees
             * @default 0
             */
            degrees?: number;
        };
        /**
         * PlacePicture
         * @description Give a picture another middle, width, turn within its plane, or view; what is left out stays.
         */
        PlacePicture: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "place-picture";
            /** Reference */
            reference: string;
            /** Centre */
            centre?: [
                number,
                number,
                number
            ] | null;
            /** Width */
            width?: number | null;
            /** Degrees */
            degrees?: number | null;
            /** View */
            view?: ("front" | "back" | "right" | "left" | "top" | "bottom") | null;
        };
        /**
         * PlaceSchema
         * @description Where it is: elements of the piece at fault, and points in mm.
         */
        PlaceSchema: {
            /**
             * Vertices
             * @default []
             */
            vertices?: number[];
            /**
             * Edges
             * @default []
             */
            edges?: number[];
            /**
             * Faces
             * @default []
             */
            faces?: number[];
            /**
             * Points
             * @default []
             */
            points?: [
                number,
                number,
                number
            ][];
        };
        /**
         * Plane
         * @description A plane through ``point`` with unit ``normal``; its positive side is where the normal points.
         */
        "Plane-Input": {
            /** Point */
            point: [
                number,
                number,
                number
            ];
            /** Normal */
            normal: [
                number,
                number,
                number
            ];
        };
        /**
         * Plane
         * @description A plane through ``point`` with unit ``normal``; its positive side is where the normal points.
         */
        "Plane-Output": {
            /** Point */
            point: [
                number,
                number,
                number
            ];
            /** Normal */
            normal: [
                number,
                number,
                number
            ];
        };
        /**
         * PreviewState
         * @description What a command would lead to; ``notes`` say how true it came out, ``suspect`` are faces where it did not.
         *
         *     ``rail`` is the line along which a number of the command is set by hand, from its 0 to its 1, in mm.
         */
        PreviewState: {
            /** Title */
            title: string;
            /** Notes */
            notes: string[];
            /** Suspect */
            suspect: number[];
            /** Pieces */
            pieces: components["schemas"]["PieceState"][];
            /** References */
            references: (components["schemas"]["PictureState"] | components["schemas"]["ComponentState"])[];
            selected: components["schemas"]["SelectedState"] | null;
            /** Rail */
            rail: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
        };
        /**
         * PrintProcessState
         * @description A way to print and what it asks for: mm, degrees from upright, g/cm³.
         */
        PrintProcessState: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /** Layer */
            layer: number;
            /** Line */
            line: number;
            /** Wall */
            wall: number;
            /** Overhang */
            overhang: number;
            /** Density */
            density: number;
            /** Supports */
            supports: boolean;
            /** Trapped */
            trapped: string;
            /** Pause */
            pause: number;
            /** Speed */
            speed: number;
        };
        /**
         * ProcessState
         * @description What a process asks for at least, in mm; common practice, shops differ.
         */
        ProcessState: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /** Wall */
            wall: number;
            /** Prong */
            prong: number;
            /** Gap */
            gap: number;
        };
        /**
         * Prongs
         * @description ``count`` prongs of a ``wire`` (mm) ``over`` the girdle by so many mm, each leaning outwards by ``lean`` degrees.
         *
         *     "single", or "double": two beside one another at each place; "shared": those of neighbours that all but touch become one.
         *     Tips are round, flat, or "claw": drawn to a point over the crown. ``rails`` (0 to 2) tie them together below the girdle.
         *     ``turned`` degrees lay the first aside. A foot ends in the metal and never comes out below.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Prongs("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Prongs-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Count
             * @default 4
             */
            count?: number;
            /**
             * Wire
             * @default 0.8
             */
            wire?: number;
            /**
             * Over
             * @default 0.5
             */
            over?: number;
            /**
             * Lean
             * @default 0
             */
            lean?: number;
            /**
             * Way
             * @default single
             * @enum {string}
             */
            way?: "single" | "double" | "shared";
            /**
             * Tip
             * @default round
             * @enum {string}
             */
            tip?: "round" | "flat" | "claw";
            /**
             * Rails
             * @default 0
             */
            rails?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "prongs";
        };
        /**
         * Prongs
         * @description ``count`` prongs of a ``wire`` (mm) ``over`` the girdle by so many mm, each leaning outwards by ``lean`` degrees.
         *
         *     "single", or "double": two beside one another at each place; "shared": those of neighbours that all but touch become one.
         *     Tips are round, flat, or "claw": drawn to a point over the crown. ``rails`` (0 to 2) tie them together below the girdle.
         *     ``turned`` degrees lay the first aside. A foot ends in the metal and never comes out below.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Prongs("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        "Prongs-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Count
             * @default 4
             */
            count?: number;
            /**
             * Wire
             * @default 0.8
             */
            wire?: number;
            /**
             * Over
             * @default 0.5
             */
            over?: number;
            /**
             * Lean
             * @default 0
             */
            lean?: number;
            /**
             * Way
             * @default single
             * @enum {string}
             */
            way?: "single" | "double" | "shared";
            /**
             * Tip
             * @default round
             * @enum {string}
             */
            tip?: "round" | "flat" | "claw";
            /**
             * Rails
             * @default 0
             */
            rails?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "prongs";
        };
        /**
         * ProposalAsk
         * @description Of which component, of about how many quads, whether it is to be mirrored across an axis, in the plane at 0, and
         *     whether its sharp lines are followed.
         */
        ProposalAsk: {
            /** Component */
            component: string;
            /**
             * Count
             * @default 400
             */
            count?: number;
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * Sharp
             * @default true
             */
            sharp?: boolean;
        };
        /**
         * Proposed
         * @description A cage of quads, settled on the scan: of a mirrored one the half, with its creases by their two ends. ``quads``, the
         *     edges ``creased`` and the ``irregular`` vertices, with not four edges, are those of the whole; ``before`` and ``after``
         *     settling the root mean square and the largest distance in mm of so many ``places`` of the scan; ``bare`` faces have
         *     nothing of it on them.
         */
        Proposed: {
            /** Positions */
            positions: [
                number,
                number,
                number
            ][];
            /** Faces */
            faces: [
                number,
                number,
                number,
                number
            ][];
            /** Creases */
            creases: [
                number,
                number,
                number
            ][];
            /** Quads */
            quads: number;
            /** Creased */
            creased: number;
            /** Irregular */
            irregular: number;
            /** Before */
            before: [
                number,
                number
            ];
            /** After */
            after: [
                number,
                number
            ];
            /** Places */
            places: number;
            /** Bare */
            bare: number;
        };
        /**
         * ReachBy
         * @description How far a change carries around the picked: ``radius`` mm along the cage, or through space.
         *
         *     ``profile`` "drawn" goes through the points of ``curve``, (distance, share), both from 0 to 1. With ``within`` only
         *     what these elements hold takes part.
         */
        ReachBy: {
            /** Radius */
            radius: number;
            /**
             * In Space
             * @default false
             */
            in_space?: boolean;
            /**
             * Profile
             * @default smooth
             * @enum {string}
             */
            profile?: "smooth" | "sharp" | "round" | "flat" | "linear" | "drawn";
            /**
             * Curve
             * @default []
             */
            curve?: [
                number,
                number
            ][];
            within?: components["schemas"]["Picked"] | null;
        };
        /**
         * RecastComponent
         * @description Give a component another mesh, where it lies: one that came of its own, such as by cleaning it up, said in
         *     ``words``.
         */
        RecastComponent: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "recast-component";
            /** Reference */
            reference: string;
            /** Asset */
            asset: string;
            /** Triangles */
            triangles: number;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /** Words */
            words: string;
        };
        /**
         * RectangularBrilliant
         * @description Square or longer, with sharp corners from which pairs of facets fan out below, as many as ``chevrons``.
         *
         *     ``crown`` and ``pavilion`` are the angles of the facets at the girdle, across the width. Common practice, no source.
         */
        "RectangularBrilliant-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5
             */
            length?: number;
            /**
             * Table
             * @default 70
             */
            table?: number;
            /**
             * Crown
             * @default 36
             */
            crown?: number;
            /**
             * Pavilion
             * @default 58
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Chevrons
             * @default 3
             */
            chevrons?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "rectangular";
        };
        /**
         * RectangularBrilliant
         * @description Square or longer, with sharp corners from which pairs of facets fan out below, as many as ``chevrons``.
         *
         *     ``crown`` and ``pavilion`` are the angles of the facets at the girdle, across the width. Common practice, no source.
         */
        "RectangularBrilliant-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5
             */
            length?: number;
            /**
             * Table
             * @default 70
             */
            table?: number;
            /**
             * Crown
             * @default 36
             */
            crown?: number;
            /**
             * Pavilion
             * @default 58
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Chevrons
             * @default 3
             */
            chevrons?: number;
            /**
             * Kind
             * @default rectangular
             * @constant
             */
            kind: "rectangular";
        };
        /**
         * Regrow
         * @description Let a grown piece grow otherwise: by other numbers, or from other pieces. What was pulled on it stays on top.
         *
         *     Where its count of faces changes that is lost, and relief is carried over by place; both are said.
         */
        Regrow: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "regrow";
            /** Piece */
            piece: string;
            /** Growth */
            growth: components["schemas"]["Combined-Input"] | components["schemas"]["Filled-Input"] | components["schemas"]["Laid-Input"] | components["schemas"]["Loft-Input"] | components["schemas"]["MirroredCopy-Input"] | components["schemas"]["Pipe-Input"] | components["schemas"]["Repeat-Input"] | components["schemas"]["Section-Input"] | components["schemas"]["Skin-Input"] | components["schemas"]["Stones-Input"] | components["schemas"]["Strip-Input"] | components["schemas"]["Sweep-Input"] | components["schemas"]["Threaded-Input"] | components["schemas"]["Turned-Input"];
        };
        /**
         * Relax
         * @description Even out the picked vertices within the form, in so many ``rounds``; with ``hold`` they are fitted to the surface.
         */
        Relax: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "relax";
            /**
             * Rounds
             * @default 5
             */
            rounds?: number;
            /**
             * Strength
             * @default 0.5
             */
            strength?: number;
            /**
             * Hold
             * @default true
             */
            hold?: boolean;
        };
        /**
         * ReliefInSolid
         * @description Let the solid of a piece, its STEP file, hold the first ``levels`` of its relief; with 0 it is of the plain form.
         *
         *     Each level makes four patches of one; what is finer is folded down into them as far as they can hold it.
         */
        ReliefInSolid: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "relief-in-solid";
            /** Piece */
            piece: string;
            /**
             * Levels
             * @default 1
             */
            levels?: number;
        };
        /**
         * ReliefState
         * @description Relief that a piece carries: its finest level, and whether part of it is protected by a mask.
         */
        ReliefState: {
            /** Depth */
            depth: number;
            /** Masked */
            masked: boolean;
        };
        /**
         * RemarkState
         * @description A sentence, and the place that it is about.
         */
        RemarkState: {
            /** Words */
            words: string;
            place: components["schemas"]["PlaceSchema"];
        };
        /**
         * Remove
         * @description Take loops, edges or vertices away; faces grow together and stay whole. With ``loops`` the whole loops of the
         *     picked edges go; ``form`` "hold" fits what is left to the surface.
         */
        Remove: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "remove";
            /**
             * Loops
             * @default false
             */
            loops?: boolean;
            /**
             * Form
             * @default let
             * @enum {string}
             */
            form?: "let" | "hold";
        };
        /**
         * RemoveFollower
         * @description Take a follower away.
         */
        RemoveFollower: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "remove-follower";
            /** Follower */
            follower: string;
        };
        /**
         * RemoveProof
         * @description Ask it no more.
         */
        RemoveProof: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "remove-proof";
            /** Proof */
            proof: string;
        };
        /**
         * RenamePiece
         * @description Give a piece another name.
         */
        RenamePiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "rename-piece";
            /** Piece */
            piece: string;
            /** Name */
            name: string;
        };
        /**
         * Repeat
         * @description ``count`` images of the ``originals`` (ids), which are the first of them while the ``phase`` is 0.
         *
         *     - "round": about the axis ``along`` through ``point``, over ``degrees``
         *     - "rows": by ``step`` mm, and ``rows`` of them by ``aside`` mm
         *     - "curve": along the curve ``rail``, evenly by its length, turning with it; ``upright`` holds their z. With a ``pitch``
         *       in mm they are as many as stand so far apart, or a little nearer round a closed one; each is ``turned`` by so many
         *       degrees about the way against the one before, as links of a chain are
         *
         *     ``phase`` moves all by so many steps: a half lays them between. ``left_out`` are images that stand on their own by now.
         *     As a solid the images are "united" where they meet, or bodies "apart": so are those of one original, as long as nothing
         *     is done to the repeat as a whole.
         */
        "Repeat-Input": {
            /**
             * Originals
             * @default []
             */
            originals?: string[];
            /**
             * Way
             * @default round
             * @enum {string}
             */
            way?: "round" | "rows" | "curve";
            /**
             * Count
             * @default 6
             */
            count?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Degrees
             * @default 360
             */
            degrees?: number;
            /**
             * Step
             * @default [
             *       20,
             *       0,
             *       0
             *     ]
             */
            step?: [
                number,
                number,
                number
            ];
            /**
             * Rows
             * @default 1
             */
            rows?: number;
            /**
             * Aside
             * @default [
             *       0,
             *       20,
             *       0
             *     ]
             */
            aside?: [
                number,
                number,
                number
            ];
            /**
             * Rail
             * @default
             */
            rail?: string;
            /**
             * Upright
             * @default false
             */
            upright?: boolean;
            /**
             * Pitch
             * @default 0
             */
            pitch?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * Left Out
             * @default []
             */
            left_out?: number[];
            /**
             * Bodies
             * @default united
             * @enum {string}
             */
            bodies?: "united" | "apart";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "repeat";
        };
        /**
         * Repeat
         * @description ``count`` images of the ``originals`` (ids), which are the first of them while the ``phase`` is 0.
         *
         *     - "round": about the axis ``along`` through ``point``, over ``degrees``
         *     - "rows": by ``step`` mm, and ``rows`` of them by ``aside`` mm
         *     - "curve": along the curve ``rail``, evenly by its length, turning with it; ``upright`` holds their z. With a ``pitch``
         *       in mm they are as many as stand so far apart, or a little nearer round a closed one; each is ``turned`` by so many
         *       degrees about the way against the one before, as links of a chain are
         *
         *     ``phase`` moves all by so many steps: a half lays them between. ``left_out`` are images that stand on their own by now.
         *     As a solid the images are "united" where they meet, or bodies "apart": so are those of one original, as long as nothing
         *     is done to the repeat as a whole.
         */
        "Repeat-Output": {
            /**
             * Originals
             * @default []
             */
            originals?: string[];
            /**
             * Way
             * @default round
             * @enum {string}
             */
            way?: "round" | "rows" | "curve";
            /**
             * Count
             * @default 6
             */
            count?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Degrees
             * @default 360
             */
            degrees?: number;
            /**
             * Step
             * @default [
             *       20,
             *       0,
             *       0
             *     ]
             */
            step?: [
                number,
                number,
                number
            ];
            /**
             * Rows
             * @default 1
             */
            rows?: number;
            /**
             * Aside
             * @default [
             *       0,
             *       20,
             *       0
             *     ]
             */
            aside?: [
                number,
                number,
                number
            ];
            /**
             * Rail
             * @default
             */
            rail?: string;
            /**
             * Upright
             * @default false
             */
            upright?: boolean;
            /**
             * Pitch
             * @default 0
             */
            pitch?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * Left Out
             * @default []
             */
            left_out?: number[];
            /**
             * Bodies
             * @default united
             * @enum {string}
             */
            bodies?: "united" | "apart";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "repeat";
        };
        /**
         * RepeatAlong
         * @description ``count`` copies along a direction, ``spacing`` mm apart; ``phase`` moves the first by so many steps.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> row = RepeatAlong("f1", count=3, along=(1, 0, 0), spacing=50.0)
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (row,))).body
         *     >>> round(float(made.size[0] - whole.size[0]), 6), round(made.volume / whole.volume, 6)
         *     (100.0, 3.0)
         */
        "RepeatAlong-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Along
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 3
             */
            count?: number;
            /**
             * Spacing
             * @default 20
             */
            spacing?: number;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "repeat-along";
        };
        /**
         * RepeatAlong
         * @description ``count`` copies along a direction, ``spacing`` mm apart; ``phase`` moves the first by so many steps.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> row = RepeatAlong("f1", count=3, along=(1, 0, 0), spacing=50.0)
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (row,))).body
         *     >>> round(float(made.size[0] - whole.size[0]), 6), round(made.volume / whole.volume, 6)
         *     (100.0, 3.0)
         */
        "RepeatAlong-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Along
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 3
             */
            count?: number;
            /**
             * Spacing
             * @default 20
             */
            spacing?: number;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "repeat-along";
        };
        /**
         * RepeatAround
         * @description Repeat a piece in ``sectors`` about the axis ``along`` through ``point``, with or without a mirror in each sector.
         *
         *     - "open": the piece is one sector (with ``mirrored`` half of one); borders that meet within ``tolerance`` are joined
         *     - "follow": a whole that is laid out alike all round; all sectors follow the one ``towards`` a direction
         */
        RepeatAround: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "repeat-around";
            /** Piece */
            piece: string;
            /**
             * Way
             * @default open
             * @enum {string}
             */
            way?: "open" | "follow";
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /** Sectors */
            sectors: number;
            /**
             * Mirrored
             * @default false
             */
            mirrored?: boolean;
            /**
             * Towards
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            towards?: [
                number,
                number,
                number
            ];
            /**
             * Tolerance
             * @default 0.5
             */
            tolerance?: number;
        };
        /**
         * RepeatRound
         * @description ``count`` copies about an axis, ``angle`` degrees from one to the next (None: evenly all round).
         *
         *     ``phase`` moves the first by so many steps: a half lays it between.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> four = RepeatRound("f1", count=4, point=(50, 0, 0), along=(0, 0, 1))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
         *     >>> round(made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (four,))).body.volume / whole.volume, 6)
         *     4.0
         */
        "RepeatRound-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 6
             */
            count?: number;
            /** Angle */
            angle?: number | null;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "repeat-round";
        };
        /**
         * RepeatRound
         * @description ``count`` copies about an axis, ``angle`` degrees from one to the next (None: evenly all round).
         *
         *     ``phase`` moves the first by so many steps: a half lays it between.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> four = RepeatRound("f1", count=4, point=(50, 0, 0), along=(0, 0, 1))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
         *     >>> round(made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (four,))).body.volume / whole.volume, 6)
         *     4.0
         */
        "RepeatRound-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 6
             */
            count?: number;
            /** Angle */
            angle?: number | null;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "repeat-round";
        };
        /**
         * Resample
         * @description Give a grid of picked faces ``u`` by ``v`` faces and hold its form; rows lie evenly, or closer where it bends more.
         */
        Resample: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "resample";
            /** U */
            u: number;
            /** V */
            v: number;
            /**
             * Density
             * @default even
             * @enum {string}
             */
            density?: "even" | "curvature";
        };
        /**
         * ResampleCurve
         * @description Give a curve ``count`` control points and another ``degree``, as near to what it was as these can.
         */
        ResampleCurve: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "resample-curve";
            /**
             * Count
             * @default 8
             */
            count?: number;
            /**
             * Degree
             * @default 3
             * @enum {string}
             */
            degree?: "1" | "2" | "3";
        };
        /**
         * Ring
         * @description The rings through the picked.
         */
        Ring: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "ring";
            /** Towards */
            towards?: number | null;
        };
        /**
         * RoseCut
         * @description 24 triangles above a girdle and a flat base; ``dome`` is the height above the girdle. Common practice, no source.
         */
        "RoseCut-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Dome
             * @default 40
             */
            dome?: number;
            /**
             * Girdle
             * @default 3
             */
            girdle?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "rose";
        };
        /**
         * RoseCut
         * @description 24 triangles above a girdle and a flat base; ``dome`` is the height above the girdle. Common practice, no source.
         */
        "RoseCut-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Dome
             * @default 40
             */
            dome?: number;
            /**
             * Girdle
             * @default 3
             */
            girdle?: number;
            /**
             * Kind
             * @default rose
             * @constant
             */
            kind: "rose";
        };
        /**
         * Round
         * @description The diameter, or the radius, of the circle that lies nearest to the surface at some vertices.
         */
        "Round-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Vertices
             * @default []
             */
            vertices?: number[];
            /**
             * Radius
             * @default false
             */
            radius?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "round";
        };
        /**
         * Round
         * @description The diameter, or the radius, of the circle that lies nearest to the surface at some vertices.
         */
        "Round-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /** Wanted */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Vertices
             * @default []
             */
            vertices?: number[];
            /**
             * Radius
             * @default false
             */
            radius?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "round";
        };
        /**
         * RoundBrilliant
         * @description 57 facets, and a 58th where there is a culet.
         *
         *     Proportions to begin with: table 57 %, crown 34.5°, pavilion 40.75°, stars 50 %, lower halves 77 %; common practice, from
         *     memory. M. Tolkowsky, "Diamond Design", 1919, gives a table of 53 % with 34.5° and 40.75°.
         *
         *     >>> len(RoundBrilliant(6.5).gem.facets) - 96
         *     57
         */
        "RoundBrilliant-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "round";
        };
        /**
         * RoundBrilliant
         * @description 57 facets, and a 58th where there is a culet.
         *
         *     Proportions to begin with: table 57 %, crown 34.5°, pavilion 40.75°, stars 50 %, lower halves 77 %; common practice, from
         *     memory. M. Tolkowsky, "Diamond Design", 1919, gives a table of 53 % with 34.5° and 40.75°.
         *
         *     >>> len(RoundBrilliant(6.5).gem.facets) - 96
         *     57
         */
        "RoundBrilliant-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default round
             * @constant
             */
            kind: "round";
        };
        /** RoundedOutline */
        RoundedOutline: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            shape: "rounded-rectangle";
            /** Width */
            width: number;
            /** Height */
            height: number;
            /** Radius */
            radius: number;
        };
        /**
         * ScaleCreases
         * @description Multiply the sharpness of all creases and corners of what is picked by a ``factor``: below 1 softens.
         */
        ScaleCreases: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "scale-creases";
            /** Factor */
            factor: number;
        };
        /**
         * ScaleToSize
         * @description Scale evenly about ``about`` until ``measure`` is ``length`` mm: an extent, or the distance of two points.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 20, 20), (2, 2, 2)), (ScaleToSize("f1", length=100.0),)))
         *     >>> round(float(made.body.size.max()), 3)
         *     100.0
         */
        "ScaleToSize-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Measure
             * @default longest
             * @enum {string}
             */
            measure?: "longest" | "x" | "y" | "z" | "distance";
            /**
             * Length
             * @default 100
             */
            length?: number;
            /** Ends */
            ends?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
            /**
             * About
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            about?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "scale-to-size";
        };
        /**
         * ScaleToSize
         * @description Scale evenly about ``about`` until ``measure`` is ``length`` mm: an extent, or the distance of two points.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 20, 20), (2, 2, 2)), (ScaleToSize("f1", length=100.0),)))
         *     >>> round(float(made.body.size.max()), 3)
         *     100.0
         */
        "ScaleToSize-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Measure
             * @default longest
             * @enum {string}
             */
            measure?: "longest" | "x" | "y" | "z" | "distance";
            /**
             * Length
             * @default 100
             */
            length?: number;
            /** Ends */
            ends?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
            /**
             * About
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            about?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "scale-to-size";
        };
        /**
         * ScanRequest
         * @description What the simulated scanner is to do: points about ``spacing`` mm apart, ``noise`` mm as a standard deviation.
         *
         *     ``looks`` from all around, or from around and above as on a turntable; a patch of ``missing`` mm radius is left out, and
         *     ``spikes`` points stand out. ``tossed``: it comes home somewhere, turned anyhow.
         */
        ScanRequest: {
            /** Piece */
            piece: string;
            /**
             * Spacing
             * @default 0.8
             */
            spacing?: number;
            /**
             * Noise
             * @default 0.05
             */
            noise?: number;
            /**
             * Looks
             * @default turntable
             * @enum {string}
             */
            looks?: "around" | "turntable";
            /**
             * Missing
             * @default 0
             */
            missing?: number;
            /**
             * Spikes
             * @default 0
             */
            spikes?: number;
            /**
             * Tossed
             * @default false
             */
            tossed?: boolean;
            /**
             * Seed
             * @default 1
             */
            seed?: number;
        };
        /**
         * Sculpt
         * @description One stroke: a brush is led along ``way``, places on the surface in mm, each with the pressure of the hand from 0 to 1.
         *
         *     Brushes that raise go to ``height``, however slow the hand; those that work at what is there take ``strength`` of it
         *     at each passage; "carry" goes by the way alone, "twist" turns by ``degrees``. ``towards`` points at the eye: only what
         *     faces it is touched; without it all. Of a piece with a mirror all sides are done. Detail is kept at ``level``, that is
         *     added if it is not there.
         */
        Sculpt: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sculpt";
            /** Piece */
            piece: string;
            /**
             * Brush
             * @default draw
             * @enum {string}
             */
            brush?: "draw" | "inflate" | "groove" | "carry" | "smooth" | "pinch" | "flatten" | "scrape" | "twist" | "mask" | "erase";
            /**
             * Level
             * @default 4
             */
            level?: number;
            /**
             * Radius
             * @default 5
             */
            radius?: number;
            /**
             * Height
             * @default 0.5
             */
            height?: number;
            /**
             * Strength
             * @default 0.5
             */
            strength?: number;
            /**
             * Degrees
             * @default 45
             */
            degrees?: number;
            /**
             * Opposite
             * @default false
             */
            opposite?: boolean;
            /**
             * Hardness
             * @default 0
             */
            hardness?: number;
            /**
             * Profile
             * @default smooth
             * @enum {string}
             */
            profile?: "smooth" | "sharp" | "round" | "flat" | "linear" | "drawn";
            /**
             * Curve
             * @description of a drawn profile: (distance, share), 0 to 1
             * @default []
             */
            curve?: [
                number,
                number
            ][];
            /**
             * Spacing
             * @default 0.2
             */
            spacing?: number;
            /**
             * Steady
             * @default 0
             */
            steady?: number;
            /**
             * Pen
             * @default strength
             * @enum {string}
             */
            pen?: "nothing" | "strength" | "radius" | "both";
            /**
             * Around
             * @default 1
             */
            around?: number;
            /**
             * Axis Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            axis_point?: [
                number,
                number,
                number
            ];
            /**
             * Axis
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            axis?: [
                number,
                number,
                number
            ];
            /**
             * Stamp
             * @description "none", the name of a shipped one, or the id of one of the design
             * @default none
             */
            stamp?: string;
            /**
             * Laid
             * @default along
             * @enum {string}
             */
            laid?: "along" | "each" | "once";
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /** Towards */
            towards?: [
                number,
                number,
                number
            ] | null;
            /**
             * Along
             * @description edges of the piece, or a curve, to be led along
             */
            along?: components["schemas"]["Picked"] | string | null;
            /**
             * Way
             * @default []
             */
            way?: number[];
        };
        /**
         * SeamEven
         * @description In the plane across ``axis`` at ``at`` mm the form and its mirror image meet at ``most`` degrees or less.
         *
         *     Of a half, as it stands, it is the border in that plane that counts; of a whole what lies in it: its side of greater
         *     ``axis``, and that mirrored. Images that meet without an angle bend alike there, too, so that a highlight runs across
         *     without a break: across a plane of symmetry a height and its image have the same second derivative.
         */
        "SeamEven-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * At
             * @default 0
             */
            at?: number;
            /**
             * Most
             * @default 1
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "seam";
        };
        /**
         * SeamEven
         * @description In the plane across ``axis`` at ``at`` mm the form and its mirror image meet at ``most`` degrees or less.
         *
         *     Of a half, as it stands, it is the border in that plane that counts; of a whole what lies in it: its side of greater
         *     ``axis``, and that mirrored. Images that meet without an angle bend alike there, too, so that a highlight runs across
         *     without a break: across a plane of symmetry a height and its image have the same second derivative.
         */
        "SeamEven-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * At
             * @default 0
             */
            at?: number;
            /**
             * Most
             * @default 1
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "seam";
        };
        /**
         * Seats
         * @description A seat about each stone, its outline as wide at every height as the stone reaches there, to its girdle's upper edge
         *     and ``above`` mm straight up: "cut" into the body, or "alone", the cutters in its place. It holds nothing.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 15.0
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Seats("f1", stones="p2", way="alone"),), stones=laid)
         *     >>> bool(made_of_triangles(recipe).body.size[0] < 7)
         *     True
         */
        "Seats-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Way
             * @default cut
             * @enum {string}
             */
            way?: "cut" | "alone";
            /**
             * Above
             * @default 2
             */
            above?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "seats";
        };
        /**
         * Seats
         * @description A seat about each stone, its outline as wide at every height as the stone reaches there, to its girdle's upper edge
         *     and ``above`` mm straight up: "cut" into the body, or "alone", the cutters in its place. It holds nothing.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 15.0
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Seats("f1", stones="p2", way="alone"),), stones=laid)
         *     >>> bool(made_of_triangles(recipe).body.size[0] < 7)
         *     True
         */
        "Seats-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Way
             * @default cut
             * @enum {string}
             */
            way?: "cut" | "alone";
            /**
             * Above
             * @default 2
             */
            above?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "seats";
        };
        /**
         * Section
         * @description The line in which a plane cuts ``source``, by ``count`` control points; of several the longest, or the next ones.
         */
        "Section-Input": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 12
             */
            count?: number;
            /**
             * Which
             * @default 0
             */
            which?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "section";
        };
        /**
         * Section
         * @description The line in which a plane cuts ``source``, by ``count`` control points; of several the longest, or the next ones.
         */
        "Section-Output": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 12
             */
            count?: number;
            /**
             * Which
             * @default 0
             */
            which?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "section";
        };
        /** SectionPlane */
        SectionPlane: {
            /** Point */
            point: [
                number,
                number,
                number
            ];
            /** Normal */
            normal: [
                number,
                number,
                number
            ];
        };
        /** SelectedState */
        SelectedState: {
            /** Kind */
            kind: ("vertex" | "edge" | "face") | "piece";
            /** Ids */
            ids: number[];
            /** Piece */
            piece: string;
        };
        /**
         * SetCorner
         * @description Give the picked vertices (or those that the picked edges or faces hold) a sharpness, 0 smooth to 10 hard.
         */
        SetCorner: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "corner";
            /** Sharpness */
            sharpness: number;
        };
        /**
         * SetCrease
         * @description Give the picked edges (or those that the picked faces or vertices hold) a sharpness, 0 smooth to 10 hard.
         */
        SetCrease: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "crease";
            /** Sharpness */
            sharpness: number;
        };
        /**
         * Settle
         * @description Move the control points of what is picked so that the smooth surface lies on a component, by least squares.
         *
         *     It goes by places spread over all of the component, and by none that stands out like a spike. ``smoothness``: how
         *     fair the surface stays where the component is rough. What is not picked stays.
         */
        Settle: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "settle";
            /** Onto */
            onto: string;
            /**
             * Smoothness
             * @default 0.1
             */
            smoothness?: number;
            /**
             * Border
             * @default true
             */
            border?: boolean;
        };
        /**
         * SheetAsk
         * @description On which paper, whether at true size also where that is small, and in which material it is weighed.
         */
        SheetAsk: {
            /**
             * Paper
             * @default A4
             * @enum {string}
             */
            paper?: "A4" | "A3" | "Letter";
            /**
             * True Size
             * @default false
             */
            true_size?: boolean;
            /**
             * Material
             * @default Silver, 925 with copper
             */
            material?: string;
        };
        /**
         * ShowPiece
         * @description Show or hide a piece, and those of its group with it where that is wished.
         */
        ShowPiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "show-piece";
            /** Piece */
            piece: string;
            /** Visible */
            visible: boolean;
            /**
             * With Group
             * @default true
             */
            with_group?: boolean;
        };
        /**
         * Similar
         * @description What is like the picked: in ``valence``, ``sharpness``, or ``normal`` within some ``degrees``.
         */
        Similar: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "similar";
            /**
             * By
             * @enum {string}
             */
            by: "valence" | "sharpness" | "normal";
            /**
             * Degrees
             * @default 15
             */
            degrees?: number;
        };
        /**
         * Simple
         * @description Grow, shrink, invert, all, none, or the border.
         */
        Simple: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            rule: "all" | "border" | "grow" | "invert" | "none" | "shrink";
        };
        /**
         * SizeBy
         * @description Multiply the extent by ``factors`` about ``pivot`` (default the middle of the selection).
         *
         *     The factors go along x, y and z, or along the three unit vectors of ``frame``.
         */
        SizeBy: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            reach?: components["schemas"]["ReachBy"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "size";
            /** Factors */
            factors: [
                number,
                number,
                number
            ];
            /** Pivot */
            pivot?: [
                number,
                number,
                number
            ] | null;
            /** Frame */
            frame?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
        };
        /**
         * SizeHeld
         * @description The surface's extent along an axis is ``size`` mm, give or take ``tolerance``.
         */
        "SizeHeld-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * Size
             * @default 50
             */
            size?: number;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "size";
        };
        /**
         * SizeHeld
         * @description The surface's extent along an axis is ``size`` mm, give or take ``tolerance``.
         */
        "SizeHeld-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * Size
             * @default 50
             */
            size?: number;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "size";
        };
        /**
         * Skin
         * @description The surface over ``curves`` (ids) of two families that cross; within ``tolerance`` mm they are drawn together.
         */
        "Skin-Input": {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Each
             * @default 2
             */
            each?: number;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "skin";
        };
        /**
         * Skin
         * @description The surface over ``curves`` (ids) of two families that cross; within ``tolerance`` mm they are drawn together.
         */
        "Skin-Output": {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Each
             * @default 2
             */
            each?: number;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "skin";
        };
        /**
         * Slide
         * @description Slide picked chains along the cage to their left, or for a negative amount to their right; with ``towards`` each
         *     picked vertex by itself along that of its edges that goes this way best.
         *
         *     The amount is a ``share`` of the way to the next loop, -1 to 1, or where it is given ``distance`` mm.
         */
        Slide: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "slide";
            /**
             * Share
             * @default 0
             */
            share?: number;
            /** Distance */
            distance?: number | null;
            /** Towards */
            towards?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * SolidFileState
         * @description A STEP file that was kept, by its asset; mm, mm³.
         */
        SolidFileState: {
            /** Asset */
            asset: string;
            /** Name */
            name: string;
            /** Size */
            size: [
                number,
                number,
                number
            ];
            /** Volume */
            volume: number;
            /** Solids */
            solids: number;
            /** Faces */
            faces: number;
        };
        /**
         * Sound
         * @description Closed, and nowhere running through itself.
         */
        "Sound-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sound";
        };
        /**
         * Sound
         * @description Closed, and nowhere running through itself.
         */
        "Sound-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sound";
        };
        /**
         * SpaceEvenly
         * @description Set the vertices of picked loops at even distances along the curve through them, by a ``share`` of the way.
         */
        SpaceEvenly: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * Share
             * @default 1
             */
            share?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "space-evenly";
        };
        /**
         * Spin
         * @description Turn each picked edge on by one corner of the two faces that it parts, or ``backwards``.
         */
        Spin: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "spin";
            /**
             * Backwards
             * @default false
             */
            backwards?: boolean;
        };
        /**
         * SplitParts
         * @description Part picked edges into ``along`` equal parts, or picked quads into ``along`` by ``across`` quads.
         */
        SplitParts: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "split";
            /**
             * Along
             * @default 2
             */
            along?: number;
            /**
             * Across
             * @default 2
             */
            across?: number;
        };
        /**
         * Spot
         * @description One place. ``ids`` names it on the ``piece``: a "vertex" by its number, an "edge" by its two vertices, a "face" by its
         *     number; a "place" on the surface lies in a face's corner at ``share``, as an Anchor does, and on a curve behind a control
         *     point by a share of its leg. An "axis" of the world goes by ``axis`` and has no piece; "gone" is what was lost.
         */
        "Spot-Input": {
            /**
             * Kind
             * @enum {string}
             */
            kind: "vertex" | "edge" | "face" | "place" | "axis" | "gone";
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Ids
             * @default []
             */
            ids?: number[];
            /**
             * Share
             * @default [
             *       0,
             *       0
             *     ]
             */
            share?: [
                number,
                number
            ];
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
        };
        /**
         * Spot
         * @description One place. ``ids`` names it on the ``piece``: a "vertex" by its number, an "edge" by its two vertices, a "face" by its
         *     number; a "place" on the surface lies in a face's corner at ``share``, as an Anchor does, and on a curve behind a control
         *     point by a share of its leg. An "axis" of the world goes by ``axis`` and has no piece; "gone" is what was lost.
         */
        "Spot-Output": {
            /**
             * Kind
             * @enum {string}
             */
            kind: "vertex" | "edge" | "face" | "place" | "axis" | "gone";
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Ids
             * @default []
             */
            ids?: number[];
            /**
             * Share
             * @default [
             *       0,
             *       0
             *     ]
             */
            share?: [
                number,
                number
            ];
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
        };
        /**
         * Sprue
         * @description A round stub of a ``diameter`` and ``length`` (mm) that stands at ``point`` on the body, ``along`` a way out of it.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> stub = Sprue("f1", diameter=3.0, length=8.0, point=(0, 0, 15), along=(0, 0, 1))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (stub,)))
         *     >>> made.notes[0].status, bool(made.body.size[2] > 30)
         *     ('done', True)
         */
        "Sprue-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Diameter
             * @default 2.5
             */
            diameter?: number;
            /**
             * Length
             * @default 8
             */
            length?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sprue";
        };
        /**
         * Sprue
         * @description A round stub of a ``diameter`` and ``length`` (mm) that stands at ``point`` on the body, ``along`` a way out of it.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> stub = Sprue("f1", diameter=3.0, length=8.0, point=(0, 0, 15), along=(0, 0, 1))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (stub,)))
         *     >>> made.notes[0].status, bool(made.body.size[2] > 30)
         *     ('done', True)
         */
        "Sprue-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Diameter
             * @default 2.5
             */
            diameter?: number;
            /**
             * Length
             * @default 8
             */
            length?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sprue";
        };
        /**
         * StampFromPiece
         * @description Make a stamp of a piece as it is seen from one side, with its true size and height.
         */
        StampFromPiece: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "stamp-from-piece";
            /** Piece */
            piece: string;
            /**
             * Side
             * @default top
             * @enum {string}
             */
            side?: "top" | "bottom" | "front" | "back" | "left" | "right";
        };
        /**
         * StampState
         * @description A stamp of the design's own; ``width`` and ``height`` in mm where it has a true size, else 0.
         */
        StampState: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /** Pixels */
            pixels: [
                number,
                number
            ];
            /** Tiles */
            tiles: boolean;
            /** Width */
            width: number;
            /** Height */
            height: number;
        };
        /**
         * StandOnMirror
         * @description Lay a component so that its own mirror plane comes to lie across an ``axis``, at 0: turned and moved as little as that
         *     takes. Says how true a mirror image of itself it is.
         */
        StandOnMirror: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "stand-on-mirror";
            /** Reference */
            reference: string;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
        };
        /**
         * StandRequest
         * @description Which stand, how large in mm, and for which piece; without a size as it fits that one, or as is usual.
         */
        StandRequest: {
            /**
             * Stand
             * @enum {string}
             */
            stand: "cone" | "finger" | "hand" | "neck" | "bust" | "table" | "block" | "hook";
            /** Size */
            size?: number | null;
            /** Piece */
            piece?: string | null;
        };
        /**
         * StandingState
         * @description One way up: the direction that points up, mm³ of supports, height in mm, and mm² on the bed.
         */
        StandingState: {
            /** Words */
            words: string;
            /** Up */
            up: [
                number,
                number,
                number
            ];
            /** Supports */
            supports: number;
            /** Height */
            height: number;
            /** Foot */
            foot: number;
        };
        /**
         * StandsUp
         * @description Put down along the opposite of ``up``, it can be tilted by ``least`` degrees and comes back.
         *
         *     It stands on the hull of what touches the ground, and tips over an edge of it when its centre of mass has come over that
         *     edge (statics of a rigid body).
         */
        "StandsUp-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Up
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            up?: [
                number,
                number,
                number
            ];
            /**
             * Least
             * @default 10
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "stands-up";
        };
        /**
         * StandsUp
         * @description Put down along the opposite of ``up``, it can be tilted by ``least`` degrees and comes back.
         *
         *     It stands on the hull of what touches the ground, and tips over an edge of it when its centre of mass has come over that
         *     edge (statics of a rigid body).
         */
        "StandsUp-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Up
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            up?: [
                number,
                number,
                number
            ];
            /**
             * Least
             * @default 10
             */
            least?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "stands-up";
        };
        /** StepAt */
        StepAt: {
            /** Revision */
            revision: number;
            /** Step */
            step: number;
        };
        /**
         * StepCut
         * @description Facets in steps alongside the girdle, the corners cut by a share of the width; ``crown`` and ``pavilion`` are the
         *     angles of the steps at the girdle. Common practice, no source.
         */
        "StepCut-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 60
             */
            table?: number;
            /**
             * Crown
             * @default 40
             */
            crown?: number;
            /**
             * Pavilion
             * @default 52
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Corner
             * @default 15
             */
            corner?: number;
            /**
             * Steps
             * @default 3
             */
            steps?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "step";
        };
        /**
         * StepCut
         * @description Facets in steps alongside the girdle, the corners cut by a share of the width; ``crown`` and ``pavilion`` are the
         *     angles of the steps at the girdle. Common practice, no source.
         */
        "StepCut-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 60
             */
            table?: number;
            /**
             * Crown
             * @default 40
             */
            crown?: number;
            /**
             * Pavilion
             * @default 52
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Corner
             * @default 15
             */
            corner?: number;
            /**
             * Steps
             * @default 3
             */
            steps?: number;
            /**
             * Kind
             * @default step
             * @constant
             */
            kind: "step";
        };
        /** StepState */
        StepState: {
            /** Id */
            id: number;
            /** Number */
            number: number;
            /** Title */
            title: string;
            /**
             * Created At
             * Format: date-time
             */
            created_at: string;
            /**
             * Place
             * @description Its number among the form's steps alone.
             */
            place: number;
            /**
             * Aside
             * @description It changed only what is seen: it is undone, but is no step of the form.
             */
            aside: boolean;
        };
        /**
         * Stone
         * @description Equal ones are alike to the last facet. Raises BadNumberError for a material that is not in the table.
         */
        "Stone-Input": {
            /**
             * Cut
             * @default {
             *       "width": 5,
             *       "table": 57,
             *       "crown": 34.5,
             *       "pavilion": 40.75,
             *       "girdle": 3.5,
             *       "star": 50,
             *       "lower": 77,
             *       "culet": 0,
             *       "kind": "round"
             *     }
             */
            cut?: components["schemas"]["Baguette-Input"] | components["schemas"]["Cabochon-Input"] | components["schemas"]["CushionBrilliant-Input"] | components["schemas"]["MarquiseBrilliant-Input"] | components["schemas"]["OvalBrilliant-Input"] | components["schemas"]["PearBrilliant-Input"] | components["schemas"]["Pearl-Input"] | components["schemas"]["RectangularBrilliant-Input"] | components["schemas"]["RoseCut-Input"] | components["schemas"]["RoundBrilliant-Input"] | components["schemas"]["StepCut-Input"] | components["schemas"]["TrillionBrilliant-Input"];
            /**
             * Material
             * @default diamond
             */
            material?: string;
        };
        /**
         * Stone
         * @description Equal ones are alike to the last facet. Raises BadNumberError for a material that is not in the table.
         */
        "Stone-Output": {
            /**
             * Cut
             * @default {
             *       "width": 5,
             *       "table": 57,
             *       "crown": 34.5,
             *       "pavilion": 40.75,
             *       "girdle": 3.5,
             *       "star": 50,
             *       "lower": 77,
             *       "culet": 0,
             *       "kind": "round"
             *     }
             */
            cut?: components["schemas"]["Baguette-Output"] | components["schemas"]["Cabochon-Output"] | components["schemas"]["CushionBrilliant-Output"] | components["schemas"]["MarquiseBrilliant-Output"] | components["schemas"]["OvalBrilliant-Output"] | components["schemas"]["PearBrilliant-Output"] | components["schemas"]["Pearl-Output"] | components["schemas"]["RectangularBrilliant-Output"] | components["schemas"]["RoseCut-Output"] | components["schemas"]["RoundBrilliant-Output"] | components["schemas"]["StepCut-Output"] | components["schemas"]["TrillionBrilliant-Output"];
            /**
             * Material
             * @default diamond
             */
            material?: string;
        };
        /** StoneLineState */
        StoneLineState: {
            /** Name */
            name: string;
            /** Cut */
            cut: string;
            /** Material */
            material: string;
            /** Size */
            size: string;
            /** Count */
            count: number;
            /**
             * Each
             * @description carats
             */
            each: number;
            /** Carats */
            carats: number;
        };
        /**
         * StonePlace
         * @description One stone on a face's ``corner`` at ``u``, ``v`` (see :mod:`anchors`): turned by so many degrees, sunk by so many mm
         *     and so many times as large beside what all are.
         */
        "StonePlace-Input": {
            /** Corner */
            corner: number;
            /** U */
            u: number;
            /** V */
            v: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Size
             * @default 1
             */
            size?: number;
        };
        /**
         * StonePlace
         * @description One stone on a face's ``corner`` at ``u``, ``v`` (see :mod:`anchors`): turned by so many degrees, sunk by so many mm
         *     and so many times as large beside what all are.
         */
        "StonePlace-Output": {
            /** Corner */
            corner: number;
            /** U */
            u: number;
            /** V */
            v: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Size
             * @default 1
             */
            size?: number;
        };
        /**
         * Stones
         * @description ``stone`` in each of ``places`` on the form ``host``; or along the curve ``rail``, by the count or gap of ``laid``.
         *
         *     On a form the table looks along the normal, along a curve to where the form ``host`` looks beside it, or else up. The
         *     girdle's middle lies ``sink`` mm below the surface; all are turned by ``turn`` degrees.
         */
        "Stones-Input": {
            /**
             * Host
             * @default
             */
            host?: string;
            /**
             * Rail
             * @default
             */
            rail?: string;
            stone?: components["schemas"]["Stone-Input"];
            /**
             * Places
             * @default []
             */
            places?: components["schemas"]["StonePlace-Input"][];
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
            laid?: components["schemas"]["LaidBy-Input"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "stones";
        };
        /**
         * Stones
         * @description ``stone`` in each of ``places`` on the form ``host``; or along the curve ``rail``, by the count or gap of ``laid``.
         *
         *     On a form the table looks along the normal, along a curve to where the form ``host`` looks beside it, or else up. The
         *     girdle's middle lies ``sink`` mm below the surface; all are turned by ``turn`` degrees.
         */
        "Stones-Output": {
            /**
             * Host
             * @default
             */
            host?: string;
            /**
             * Rail
             * @default
             */
            rail?: string;
            stone?: components["schemas"]["Stone-Output"];
            /**
             * Places
             * @default []
             */
            places?: components["schemas"]["StonePlace-Output"][];
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
            laid?: components["schemas"]["LaidBy-Output"];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "stones";
        };
        /**
         * Straighten
         * @description Slide the vertices of picked loops along the cage until each lies in a plane, by a ``share`` of the way.
         */
        Straighten: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * Share
             * @default 1
             */
            share?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "straighten";
        };
        /**
         * Strip
         * @description ``source`` drawn out by a vector ``by`` (mm), or across to another curve, ``other``; ``count`` faces across.
         *
         *     With a ``surface``, a piece with faces, it is drawn out along that one's normals, ``height`` mm, below 0 inwards.
         */
        "Strip-Input": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Surface
             * @default
             */
            surface?: string;
            /**
             * By
             * @default [
             *       0,
             *       0,
             *       10
             *     ]
             */
            by?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Height
             * @default 5
             */
            height?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "strip";
        };
        /**
         * Strip
         * @description ``source`` drawn out by a vector ``by`` (mm), or across to another curve, ``other``; ``count`` faces across.
         *
         *     With a ``surface``, a piece with faces, it is drawn out along that one's normals, ``height`` mm, below 0 inwards.
         */
        "Strip-Output": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Surface
             * @default
             */
            surface?: string;
            /**
             * By
             * @default [
             *       0,
             *       0,
             *       10
             *     ]
             */
            by?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Height
             * @default 5
             */
            height?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "strip";
        };
        /**
         * SurfaceArrays
         * @description The limit surface at a level: positions in mm, unit normals, quads. Hard creases split vertices.
         */
        SurfaceArrays: {
            /** Level */
            level: number;
            /** Positions */
            positions: [
                number,
                number,
                number
            ][];
            /** Normals */
            normals: [
                number,
                number,
                number
            ][];
            /** Quads */
            quads: [
                number,
                number,
                number,
                number
            ][];
            /** Face Of Quad */
            face_of_quad: number[];
        };
        /**
         * SurfaceFacts
         * @description How many triangles, how far their chords keep from the surface in mm, by how many degrees it turns in a facet at most,
         *     and about how many bytes by kind of file. ``words`` say why there is nothing to count. ``solid_faces``: how many the
         *     solid will have, and ``solid_words`` why it would be refused for them.
         */
        SurfaceFacts: {
            /** Triangles */
            triangles: number;
            /** Exact */
            exact: boolean;
            /** Chord */
            chord: number;
            /** Turn */
            turn: number;
            /** Bytes */
            bytes: {
                [key: string]: number;
            };
            /**
             * Words
             * @default
             */
            words?: string;
            /**
             * Solid Faces
             * @default 0
             */
            solid_faces?: number;
            /**
             * Solid Words
             * @default
             */
            solid_words?: string;
        };
        /**
         * Sweep
         * @description ``profiles`` (ids) along ``rail``, "as it lies" beside it or "square" to it; with a ``second`` rail for the width.
         */
        "Sweep-Input": {
            /**
             * Rail
             * @default
             */
            rail?: string;
            /**
             * Profiles
             * @default []
             */
            profiles?: string[];
            /**
             * Second
             * @default
             */
            second?: string;
            /**
             * Stands
             * @default as it lies
             * @enum {string}
             */
            stands?: "as it lies" | "square";
            /**
             * Turns
             * @default least
             * @enum {string}
             */
            turns?: "least" | "upright";
            /**
             * Each
             * @default 2
             */
            each?: number;
            /**
             * Ends
             * @default flat
             * @enum {string}
             */
            ends?: "open" | "flat";
            /**
             * Twist
             * @default 0
             */
            twist?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sweep";
        };
        /**
         * Sweep
         * @description ``profiles`` (ids) along ``rail``, "as it lies" beside it or "square" to it; with a ``second`` rail for the width.
         */
        "Sweep-Output": {
            /**
             * Rail
             * @default
             */
            rail?: string;
            /**
             * Profiles
             * @default []
             */
            profiles?: string[];
            /**
             * Second
             * @default
             */
            second?: string;
            /**
             * Stands
             * @default as it lies
             * @enum {string}
             */
            stands?: "as it lies" | "square";
            /**
             * Turns
             * @default least
             * @enum {string}
             */
            turns?: "least" | "upright";
            /**
             * Each
             * @default 2
             */
            each?: number;
            /**
             * Ends
             * @default flat
             * @enum {string}
             */
            ends?: "open" | "flat";
            /**
             * Twist
             * @default 0
             */
            twist?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "sweep";
        };
        /**
         * Symmetric
         * @description Its mirror image in the plane across ``axis`` at ``at`` mm lies within ``tolerance`` mm of it.
         */
        "Symmetric-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * At
             * @default 0
             */
            at?: number;
            /**
             * Tolerance
             * @default 0.05
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "symmetric";
        };
        /**
         * Symmetric
         * @description Its mirror image in the plane across ``axis`` at ``at`` mm lies within ``tolerance`` mm of it.
         */
        "Symmetric-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * At
             * @default 0
             */
            at?: number;
            /**
             * Tolerance
             * @default 0.05
             */
            tolerance?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "symmetric";
        };
        /**
         * SymmetryState
         * @description How a piece is symmetric: ``words`` such as "one mirror" or "8 sectors", and its mirror planes.
         */
        SymmetryState: {
            /** Words */
            words: string;
            /** Sectors */
            sectors: number;
            /**
             * Planes
             * @description a point and a unit normal of each
             */
            planes: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ][];
            /** Axis */
            axis: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
        };
        /**
         * TakeCurve
         * @description Take picked chains of edges, or the border of picked faces, as curves, each a piece of its own.
         *
         *     Along borders and hard creases it is the surface's own line, with the same control points; elsewhere it passes through
         *     the surface at each of the chain's vertices. It follows nothing.
         */
        TakeCurve: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "take-curve";
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Name
             * @default Curve
             */
            name?: string;
        };
        /**
         * TakeImageOut
         * @description Let one image of a repeat become a piece of its own, which follows nothing; ``image`` counts from 0 through all.
         */
        TakeImageOut: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "take-image-out";
            /** Piece */
            piece: string;
            /** Image */
            image: number;
        };
        /**
         * Taper
         * @description Size across ``axis`` through ``pivot`` (default the middle of the picked) by a factor that grows along it.
         *
         *     It is 1 at the end that is ``held``, and ``factor`` at the other; lengths along the axis stay.
         */
        Taper: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            reach?: components["schemas"]["ReachBy"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "taper";
            /** Axis */
            axis: [
                number,
                number,
                number
            ];
            /** Factor */
            factor: number;
            /**
             * Held
             * @default start
             * @enum {string}
             */
            held?: "start" | "end";
            /** Pivot */
            pivot?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * Thicken
         * @description Two walls ``distance`` mm apart, joined at the rims, which are creased if wished. The whole piece is meant.
         *
         *     The second wall goes "in", "out", or "both" half the way.
         */
        Thicken: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "thicken";
            /** Distance */
            distance: number;
            /**
             * Side
             * @default in
             * @enum {string}
             */
            side?: "in" | "out" | "both";
            /**
             * Crease Rims
             * @default true
             */
            crease_rims?: boolean;
        };
        /**
         * Thickened
         * @description A wall of ``distance`` mm of an open cage, to one side or both; see ``thicken``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.primitives import plane
         *     >>> wall = Thickened("f1", distance=2.0)
         *     >>> made = made_of_triangles(Recipe("Sheet", plane((40, 30), (2, 2)), (wall,)))
         *     >>> made.notes[0].status, round(float(made.body.size[2]), 3)
         *     ('done', 2.0)
         */
        "Thickened-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Distance
             * @default 2
             */
            distance?: number;
            /**
             * Side
             * @default in
             * @enum {string}
             */
            side?: "in" | "out" | "both";
            /**
             * Crease Rims
             * @default true
             */
            crease_rims?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "thickened";
        };
        /**
         * Thickened
         * @description A wall of ``distance`` mm of an open cage, to one side or both; see ``thicken``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.primitives import plane
         *     >>> wall = Thickened("f1", distance=2.0)
         *     >>> made = made_of_triangles(Recipe("Sheet", plane((40, 30), (2, 2)), (wall,)))
         *     >>> made.notes[0].status, round(float(made.body.size[2]), 3)
         *     ('done', 2.0)
         */
        "Thickened-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Distance
             * @default 2
             */
            distance?: number;
            /**
             * Side
             * @default in
             * @enum {string}
             */
            side?: "in" | "out" | "both";
            /**
             * Crease Rims
             * @default true
             */
            crease_rims?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "thickened";
        };
        /** ThinTo */
        ThinTo: {
            /** Revision */
            revision: number;
            /** Keep */
            keep: number;
        };
        /**
         * Threaded
         * @description The smooth curve through one place of each of the ``curves`` (ids), in their order.
         *
         *     ``places`` are shares of their lengths, 0 to 1, so that it goes along when they are pulled.
         */
        "Threaded-Input": {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Places
             * @default []
             */
            places?: number[];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "threaded";
        };
        /**
         * Threaded
         * @description The smooth curve through one place of each of the ``curves`` (ids), in their order.
         *
         *     ``places`` are shares of their lengths, 0 to 1, so that it goes along when they are pulled.
         */
        "Threaded-Output": {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Places
             * @default []
             */
            places?: number[];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "threaded";
        };
        /**
         * Trace
         * @description Lay a patch of ``along`` by ``across`` quads on a component between four corners: points in mm, and vertices of the
         *     piece.
         *
         *     Two vertices together are both ends of a side; which comes first is the one that lets no sides cross. Sides that lie
         *     between vertices on the border take up the edges that are there.
         */
        Trace: {
            /** Piece */
            piece?: string | null;
            /**
             * Name
             * @default Traced sheet
             */
            name?: string;
            /** Onto */
            onto: string;
            /** Towards */
            towards: [
                number,
                number,
                number
            ];
            /**
             * Weld
             * @default 1
             */
            weld?: number;
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trace";
            /** Corners */
            corners: (number | [
                number,
                number
            ] | [
                number,
                number,
                number
            ])[];
            /**
             * Along
             * @default 1
             */
            along?: number;
            /**
             * Across
             * @default 1
             */
            across?: number;
        };
        /**
         * TraceStrip
         * @description Lay a strip of quads on a component along a ``stroke``, ``width`` mm wide; one that ``begins`` at an edge goes on
         *     from it.
         */
        TraceStrip: {
            /** Piece */
            piece?: string | null;
            /**
             * Name
             * @default Traced sheet
             */
            name?: string;
            /** Onto */
            onto: string;
            /** Towards */
            towards: [
                number,
                number,
                number
            ];
            /**
             * Weld
             * @default 1
             */
            weld?: number;
            /**
             * Mirrored
             * @default no
             * @enum {string}
             */
            mirrored?: "no" | "x" | "y" | "z";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trace-strip";
            /** Stroke */
            stroke: [
                number,
                number,
                number
            ][];
            /**
             * Width
             * @default 10
             */
            width?: number;
            /** Begins */
            begins?: [
                number,
                number
            ] | null;
        };
        /**
         * TrillionBrilliant
         * @description Three sides that are arcs; its width is that between two corners. Common practice, no source.
         */
        "TrillionBrilliant-Input": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Table
             * @default 60
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 70
             */
            star?: number;
            /**
             * Lower
             * @default 70
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trillion";
        };
        /**
         * TrillionBrilliant
         * @description Three sides that are arcs; its width is that between two corners. Common practice, no source.
         */
        "TrillionBrilliant-Output": {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Table
             * @default 60
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 70
             */
            star?: number;
            /**
             * Lower
             * @default 70
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default trillion
             * @constant
             */
            kind: "trillion";
        };
        /**
         * Trim
         * @description What lies on the side that ``normal`` points to is cut off, in the plane through ``point``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> trim = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (trim,)))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
         *     >>> round(made.body.volume / whole.body.volume, 3)
         *     0.5
         */
        "Trim-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trim";
        };
        /**
         * Trim
         * @description What lies on the side that ``normal`` points to is cut off, in the plane through ``point``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> trim = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (trim,)))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
         *     >>> round(made.body.volume / whole.body.volume, 3)
         *     0.5
         */
        "Trim-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trim";
        };
        /**
         * TrimBySheet
         * @description What lies on the side that the faces of ``sheet``, another piece, look to is cut off; ``flipped``, the other side.
         *
         *     >>> from zinc_otter.core.errors import CoreError
         *     >>> TrimBySheet("f1", sheet="p2").called
         *     'Trim'
         */
        "TrimBySheet-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Sheet
             * @default
             */
            sheet?: string;
            /**
             * Flipped
             * @default false
             */
            flipped?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trim-sheet";
        };
        /**
         * TrimBySheet
         * @description What lies on the side that the faces of ``sheet``, another piece, look to is cut off; ``flipped``, the other side.
         *
         *     >>> from zinc_otter.core.errors import CoreError
         *     >>> TrimBySheet("f1", sheet="p2").called
         *     'Trim'
         */
        "TrimBySheet-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Sheet
             * @default
             */
            sheet?: string;
            /**
             * Flipped
             * @default false
             */
            flipped?: boolean;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trim-sheet";
        };
        /**
         * TruePicture
         * @description A picture that is kept, and what it was taken by.
         */
        TruePicture: {
            /** Key */
            key: string;
            /** Revision */
            revision: number;
            /** Made */
            made: string;
            /** Width */
            width: number;
            /** Height */
            height: number;
            /** Samples */
            samples: number;
            /** Light */
            light: string;
            /**
             * Turns
             * @default 1
             */
            turns?: number;
        };
        /** TryState */
        TryState: {
            /** Radius */
            radius: number;
            /** Failure */
            failure: string | null;
        };
        /**
         * Turn
         * @description Turn by ``degrees`` about ``axis`` through ``pivot`` (default the middle of the selection).
         */
        Turn: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            reach?: components["schemas"]["ReachBy"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "turn";
            /** Axis */
            axis: [
                number,
                number,
                number
            ];
            /** Degrees */
            degrees: number;
            /** Pivot */
            pivot?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * TurnCurve
         * @description Let a curve run the other way.
         */
        TurnCurve: {
            /** Piece */
            piece: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "reverse-curve";
        };
        /**
         * Turned
         * @description ``source`` turned by ``degrees`` about the axis ``along`` through ``point``, in ``count`` faces.
         */
        "Turned-Input": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 8
             */
            count?: number;
            /**
             * Degrees
             * @default 360
             */
            degrees?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "turned";
        };
        /**
         * Turned
         * @description ``source`` turned by ``degrees`` about the axis ``along`` through ``point``, in ``count`` faces.
         */
        "Turned-Output": {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 8
             */
            count?: number;
            /**
             * Degrees
             * @default 360
             */
            degrees?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "turned";
        };
        /**
         * Twist
         * @description Turn about ``axis`` through ``pivot`` (default the middle of the picked) by an amount that grows along it.
         *
         *     From one end of the picked to the other it comes to ``degrees``; where it is ``held`` nothing is turned.
         */
        Twist: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            reach?: components["schemas"]["ReachBy"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "twist";
            /** Axis */
            axis: [
                number,
                number,
                number
            ];
            /** Degrees */
            degrees: number;
            /**
             * Held
             * @default start
             * @enum {string}
             */
            held?: "start" | "middle" | "end";
            /** Pivot */
            pivot?: [
                number,
                number,
                number
            ] | null;
        };
        /**
         * Vent
         * @description A hole of ``radius`` mm through the wall at ``point``, along a direction.
         */
        "Vent-Input": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 2
             */
            radius?: number;
        };
        /**
         * Vent
         * @description A hole of ``radius`` mm through the wall at ``point``, along a direction.
         */
        "Vent-Output": {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 2
             */
            radius?: number;
        };
        /**
         * Wall
         * @description At least ``least`` mm of material at any point of the surface, measured ``by`` what goes straight inwards from it, or
         *     by the diameter of the largest ball within that touches it there.
         *
         *     Rays go square to the surface at its dense points. In a wedge they tell more than there is, and a ball tells how far the
         *     sides are apart; towards sharp edges a ball comes to nothing, whatever the wall. In a drag about fifteen hundred points
         *     are looked at, at rest up to twelve thousand, and a quarter of that by balls: the words say how many.
         */
        "Wall-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Least
             * @default 0.8
             */
            least?: number;
            /**
             * By
             * @default ray
             * @enum {string}
             */
            by?: "ray" | "ball";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "wall";
        };
        /**
         * Wall
         * @description At least ``least`` mm of material at any point of the surface, measured ``by`` what goes straight inwards from it, or
         *     by the diameter of the largest ball within that touches it there.
         *
         *     Rays go square to the surface at its dense points. In a wedge they tell more than there is, and a ball tells how far the
         *     sides are apart; towards sharp edges a ball comes to nothing, whatever the wall. In a drag about fifteen hundred points
         *     are looked at, at rest up to twelve thousand, and a quarter of that by balls: the words say how many.
         */
        "Wall-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Least
             * @default 0.8
             */
            least?: number;
            /**
             * By
             * @default ray
             * @enum {string}
             */
            by?: "ray" | "ball";
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "wall";
        };
        /**
         * WeighsAtMost
         * @description In ``material`` it weighs ``most`` grams or less; by the volume within its surface.
         */
        "WeighsAtMost-Input": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Material
             * @default Silver, 925 with copper
             */
            material?: string;
            /**
             * Most
             * @default 10
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "weight";
        };
        /**
         * WeighsAtMost
         * @description In ``material`` it weighs ``most`` grams or less; by the volume within its surface.
         */
        "WeighsAtMost-Output": {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Material
             * @default Silver, 925 with copper
             */
            material?: string;
            /**
             * Most
             * @default 10
             */
            most?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "weight";
        };
        /** WeightState */
        WeightState: {
            /** Material */
            material: string;
            /** Density */
            density: number;
            /** Grams */
            grams: number;
            /** Source */
            source: string;
            /**
             * Wax
             * @description how many times as heavy as the wax that it is cast after
             */
            wax: number | null;
        };
        /**
         * Weld
         * @description Make vertices one: all picked ones at their "middle", at the "vertex" ``onto`` or at a "point"; or those that lie
         *     "close", within ``tolerance`` mm of one another.
         */
        Weld: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "weld";
            /**
             * To
             * @default middle
             * @enum {string}
             */
            to?: "middle" | "vertex" | "point" | "close";
            /** Onto */
            onto?: number | null;
            /** Point */
            point?: [
                number,
                number,
                number
            ] | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
        };
        /**
         * Zip
         * @description Join two chains of open edges into one, whatever their counts: in the middle, on the first, or on the second.
         */
        Zip: {
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            /**
             * Others
             * @default []
             */
            others?: string[];
            /**
             * Stick
             * @description the component that the surface is to stay on
             */
            stick?: string | null;
            far?: components["schemas"]["FarEnd"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "zip";
            /**
             * Where
             * @default middle
             * @enum {string}
             */
            where?: "middle" | "first" | "second";
        };
        /** FindingState */
        zinc_otter__api__bench__FindingState: {
            /** Name */
            name: string;
            /** Count */
            count: number;
        };
        /** FindingState */
        zinc_otter__api__solid_schemas__FindingState: {
            /** What */
            what: string;
            /** Count */
            count: number;
            /** Words */
            words: string;
        };
        /**
         * Problem
         * @description A problem document after RFC 9457.
         */
        Problem: {
            /** Type */
            type: string;
            /** Title */
            title: string;
            /** Status */
            status: number;
            /** Detail */
            detail: string;
            /** @default null */
            place?: components["schemas"]["PlaceSchema"] | null;
        };
        /**
         * Angle
         * @description The angle between edges, faces and axes, in degrees.
         */
        Angle: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Wanted
             * @default null
             */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            first?: components["schemas"]["Spot"];
            second?: components["schemas"]["Spot"];
            /**
             * Kind
             * @default angle
             * @constant
             */
            kind: "angle";
        };
        /**
         * AskBodies
         * @description Look again whether the kernel has made a solid by now. It has no answer of its own.
         */
        AskBodies: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "bodies";
        };
        /**
         * AskCancel
         * @description Show the design as it stands.
         */
        AskCancel: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "cancel";
        };
        /**
         * AskCommit
         * @description Keep a command as a step, or ``instead`` of the present one.
         */
        AskCommit: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "commit";
            /**
             * Revision
             * @default -1
             */
            revision?: number;
            /** Command */
            command: components["schemas"]["AddBox"] | components["schemas"]["AddCage"] | components["schemas"]["AddCapsule"] | components["schemas"]["AddComponent"] | components["schemas"]["AddCone"] | components["schemas"]["AddCurve"] | components["schemas"]["AddCurves"] | components["schemas"]["AddCylinder"] | components["schemas"]["AddFollower"] | components["schemas"]["AddLink"] | components["schemas"]["AddLoop"] | components["schemas"]["AddPicture"] | components["schemas"]["AddPlane"] | components["schemas"]["AddPoledSphere"] | components["schemas"]["AddProof"] | components["schemas"]["AddRing"] | components["schemas"]["AddSphere"] | components["schemas"]["AddStamp"] | components["schemas"]["AddTorus"] | components["schemas"]["AddTube"] | components["schemas"]["AgreeNormals"] | components["schemas"]["Attract"] | components["schemas"]["Bend"] | components["schemas"]["Bridge"] | components["schemas"]["Chamfer"] | components["schemas"]["ChangeFollower"] | components["schemas"]["ChangeMask"] | components["schemas"]["ChangeProof"] | components["schemas"]["ChangeReference"] | components["schemas"]["ChangeRelief"] | components["schemas"]["ChangeStone"] | components["schemas"]["Circle"] | components["schemas"]["CloseCurve"] | components["schemas"]["Collapse"] | components["schemas"]["ColourPiece"] | components["schemas"]["CoverFaces"] | components["schemas"]["CreaseLike"] | components["schemas"]["CrossCurve"] | components["schemas"]["Delete"] | components["schemas"]["DeletePiece"] | components["schemas"]["DeleteReference"] | components["schemas"]["Detach"] | components["schemas"]["DrawCurve"] | components["schemas"]["DrawFreehand"] | components["schemas"]["DrawWire"] | components["schemas"]["DuplicatePiece"] | components["schemas"]["ExtendCurve"] | components["schemas"]["Extrude"] | components["schemas"]["ExtrudeAlong"] | components["schemas"]["Fill"] | components["schemas"]["FillDrawn"] | components["schemas"]["FillOutline"] | components["schemas"]["FinishPiece"] | components["schemas"]["FitComponent"] | components["schemas"]["FitTheBore"] | components["schemas"]["Flatten"] | components["schemas"]["Flip"] | components["schemas"]["ForgetFaces"] | components["schemas"]["ForgetStamp"] | components["schemas"]["GroupPieces"] | components["schemas"]["Grow"] | components["schemas"]["Heal"] | components["schemas"]["Inset"] | components["schemas"]["JoinCurves"] | components["schemas"]["JoinPieces"] | components["schemas"]["KeepVariant"] | components["schemas"]["Knife"] | components["schemas"]["LayByRegion"] | components["schemas"]["LayChain"] | components["schemas"]["LayFace"] | components["schemas"]["LayStones"] | components["schemas"]["LetBack"] | components["schemas"]["LineUp"] | components["schemas"]["LockPiece"] | components["schemas"]["MakeIndependent"] | components["schemas"]["MakeTrue"] | components["schemas"]["MakeVariant"] | components["schemas"]["MeasurePicture"] | components["schemas"]["Mirror"] | components["schemas"]["Move"] | components["schemas"]["MoveAlongNormal"] | components["schemas"]["MoveEach"] | components["schemas"]["NameFaces"] | components["schemas"]["OffsetCurve"] | components["schemas"]["OrderFollowers"] | components["schemas"]["OrderPiece"] | components["schemas"]["PartCurve"] | components["schemas"]["PlaceByPairs"] | components["schemas"]["PlaceComponent"] | components["schemas"]["PlacePicture"] | components["schemas"]["RecastComponent"] | components["schemas"]["Regrow"] | components["schemas"]["Relax"] | components["schemas"]["ReliefInSolid"] | components["schemas"]["Remove"] | components["schemas"]["RemoveFollower"] | components["schemas"]["RemoveProof"] | components["schemas"]["RenamePiece"] | components["schemas"]["RepeatAround"] | components["schemas"]["Resample"] | components["schemas"]["ResampleCurve"] | components["schemas"]["ScaleCreases"] | components["schemas"]["Sculpt"] | components["schemas"]["SetCorner"] | components["schemas"]["SetCrease"] | components["schemas"]["Settle"] | components["schemas"]["ShowPiece"] | components["schemas"]["SizeBy"] | components["schemas"]["Slide"] | components["schemas"]["SpaceEvenly"] | components["schemas"]["Spin"] | components["schemas"]["SplitParts"] | components["schemas"]["StampFromPiece"] | components["schemas"]["StandOnMirror"] | components["schemas"]["Straighten"] | components["schemas"]["TakeCurve"] | components["schemas"]["TakeImageOut"] | components["schemas"]["Taper"] | components["schemas"]["Thicken"] | components["schemas"]["Trace"] | components["schemas"]["TraceStrip"] | components["schemas"]["Turn"] | components["schemas"]["TurnCurve"] | components["schemas"]["Twist"] | components["schemas"]["Weld"] | components["schemas"]["Zip"];
            /**
             * Instead
             * @default false
             */
            instead?: boolean;
        };
        /**
         * AskCurves
         * @description Show curves of a piece with every frame from now on, or with null no more.
         */
        AskCurves: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "curves";
            asked: components["schemas"]["AskedOf"] | null;
        };
        /**
         * AskGaps
         * @description Tell the gaps between these pieces with every frame from now on, beside those of repeats; none of them, no more.
         */
        AskGaps: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "gaps";
            /** Pieces */
            pieces: string[];
        };
        /**
         * AskLevel
         * @description Show pieces at a level of smoothness, or with null at the finest that is quick.
         */
        AskLevel: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "level";
            /** Level */
            level: number | null;
        };
        /**
         * AskMap
         * @description Tell what a proof asks of as a number at every row of its piece's surface, with every frame; none, no more.
         */
        AskMap: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "map";
            /**
             * Proof
             * @default null
             */
            proof?: string | null;
        };
        /**
         * AskPreview
         * @description Show what a command would lead to. Of previews only the latest counts.
         */
        AskPreview: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "preview";
            /**
             * Revision
             * @default -1
             */
            revision?: number;
            /** Command */
            command: components["schemas"]["AddBox"] | components["schemas"]["AddCage"] | components["schemas"]["AddCapsule"] | components["schemas"]["AddComponent"] | components["schemas"]["AddCone"] | components["schemas"]["AddCurve"] | components["schemas"]["AddCurves"] | components["schemas"]["AddCylinder"] | components["schemas"]["AddFollower"] | components["schemas"]["AddLink"] | components["schemas"]["AddLoop"] | components["schemas"]["AddPicture"] | components["schemas"]["AddPlane"] | components["schemas"]["AddPoledSphere"] | components["schemas"]["AddProof"] | components["schemas"]["AddRing"] | components["schemas"]["AddSphere"] | components["schemas"]["AddStamp"] | components["schemas"]["AddTorus"] | components["schemas"]["AddTube"] | components["schemas"]["AgreeNormals"] | components["schemas"]["Attract"] | components["schemas"]["Bend"] | components["schemas"]["Bridge"] | components["schemas"]["Chamfer"] | components["schemas"]["ChangeFollower"] | components["schemas"]["ChangeMask"] | components["schemas"]["ChangeProof"] | components["schemas"]["ChangeReference"] | components["schemas"]["ChangeRelief"] | components["schemas"]["ChangeStone"] | components["schemas"]["Circle"] | components["schemas"]["CloseCurve"] | components["schemas"]["Collapse"] | components["schemas"]["ColourPiece"] | components["schemas"]["CoverFaces"] | components["schemas"]["CreaseLike"] | components["schemas"]["CrossCurve"] | components["schemas"]["Delete"] | components["schemas"]["DeletePiece"] | components["schemas"]["DeleteReference"] | components["schemas"]["Detach"] | components["schemas"]["DrawCurve"] | components["schemas"]["DrawFreehand"] | components["schemas"]["DrawWire"] | components["schemas"]["DuplicatePiece"] | components["schemas"]["ExtendCurve"] | components["schemas"]["Extrude"] | components["schemas"]["ExtrudeAlong"] | components["schemas"]["Fill"] | components["schemas"]["FillDrawn"] | components["schemas"]["FillOutline"] | components["schemas"]["FinishPiece"] | components["schemas"]["FitComponent"] | components["schemas"]["FitTheBore"] | components["schemas"]["Flatten"] | components["schemas"]["Flip"] | components["schemas"]["ForgetFaces"] | components["schemas"]["ForgetStamp"] | components["schemas"]["GroupPieces"] | components["schemas"]["Grow"] | components["schemas"]["Heal"] | components["schemas"]["Inset"] | components["schemas"]["JoinCurves"] | components["schemas"]["JoinPieces"] | components["schemas"]["KeepVariant"] | components["schemas"]["Knife"] | components["schemas"]["LayByRegion"] | components["schemas"]["LayChain"] | components["schemas"]["LayFace"] | components["schemas"]["LayStones"] | components["schemas"]["LetBack"] | components["schemas"]["LineUp"] | components["schemas"]["LockPiece"] | components["schemas"]["MakeIndependent"] | components["schemas"]["MakeTrue"] | components["schemas"]["MakeVariant"] | components["schemas"]["MeasurePicture"] | components["schemas"]["Mirror"] | components["schemas"]["Move"] | components["schemas"]["MoveAlongNormal"] | components["schemas"]["MoveEach"] | components["schemas"]["NameFaces"] | components["schemas"]["OffsetCurve"] | components["schemas"]["OrderFollowers"] | components["schemas"]["OrderPiece"] | components["schemas"]["PartCurve"] | components["schemas"]["PlaceByPairs"] | components["schemas"]["PlaceComponent"] | components["schemas"]["PlacePicture"] | components["schemas"]["RecastComponent"] | components["schemas"]["Regrow"] | components["schemas"]["Relax"] | components["schemas"]["ReliefInSolid"] | components["schemas"]["Remove"] | components["schemas"]["RemoveFollower"] | components["schemas"]["RemoveProof"] | components["schemas"]["RenamePiece"] | components["schemas"]["RepeatAround"] | components["schemas"]["Resample"] | components["schemas"]["ResampleCurve"] | components["schemas"]["ScaleCreases"] | components["schemas"]["Sculpt"] | components["schemas"]["SetCorner"] | components["schemas"]["SetCrease"] | components["schemas"]["Settle"] | components["schemas"]["ShowPiece"] | components["schemas"]["SizeBy"] | components["schemas"]["Slide"] | components["schemas"]["SpaceEvenly"] | components["schemas"]["Spin"] | components["schemas"]["SplitParts"] | components["schemas"]["StampFromPiece"] | components["schemas"]["StandOnMirror"] | components["schemas"]["Straighten"] | components["schemas"]["TakeCurve"] | components["schemas"]["TakeImageOut"] | components["schemas"]["Taper"] | components["schemas"]["Thicken"] | components["schemas"]["Trace"] | components["schemas"]["TraceStrip"] | components["schemas"]["Turn"] | components["schemas"]["TurnCurve"] | components["schemas"]["Twist"] | components["schemas"]["Weld"] | components["schemas"]["Zip"];
        };
        /**
         * AskStop
         * @description Stop what is being worked on, and what waits; that is answered by refusals. With ``of`` that message alone.
         */
        AskStop: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "stop";
            /**
             * Of
             * @default 0
             */
            of?: number;
        };
        /**
         * AskWeigh
         * @description Tell how far a reach carries from what is picked.
         */
        AskWeigh: {
            /**
             * Seq
             * @default 0
             */
            seq?: number;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            do: "weigh";
            /** Piece */
            piece: string;
            picked: components["schemas"]["Picked"];
            reach: components["schemas"]["ReachBy"];
        };
        /** AskedOf */
        AskedOf: {
            /** @default null */
            section?: components["schemas"]["SectionPlane"] | null;
            /**
             * Seam
             * @default false
             */
            seam?: boolean;
            /**
             * Edges
             * @default []
             */
            edges?: number[];
            /** Piece */
            piece: string;
        };
        /**
         * Baguette
         * @description A long rectangle with its corners left on and one or two steps. Common practice, no source.
         */
        Baguette: {
            /**
             * Width
             * @default 2
             */
            width?: number;
            /**
             * Length
             * @default 4
             */
            length?: number;
            /**
             * Table
             * @default 65
             */
            table?: number;
            /**
             * Crown
             * @default 35
             */
            crown?: number;
            /**
             * Pavilion
             * @default 45
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 4
             */
            girdle?: number;
            /**
             * Steps
             * @default 2
             */
            steps?: number;
            /**
             * Kind
             * @default baguette
             * @constant
             */
            kind: "baguette";
        };
        /**
         * Ball
         * @description A sphere about ``point``; mm.
         */
        Ball: {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Kind
             * @default ball
             * @constant
             */
            kind: "ball";
        };
        /**
         * Beads
         * @description ``count`` grains of a diameter ``grain`` about each stone, ``over`` the girdle by so many mm; those of neighbours that
         *     all but touch are one.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 10.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Beads("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        Beads: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Count
             * @default 4
             */
            count?: number;
            /**
             * Grain
             * @default 0.4
             */
            grain?: number;
            /**
             * Over
             * @default 0.3
             */
            over?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Kind
             * @default beads
             * @constant
             */
            kind: "beads";
        };
        /**
         * Bends
         * @description No radius of curvature is less than ``least`` mm: ``outside``, where the form bulges, ``inside``, where it is hollow,
         *     or both. By quadrics laid through the dense points about each (D. Panozzo, E. Puppo, L. Rocca, "Efficient multi-scale
         *     curvature and crease estimation", 2010, as libigl has it); along sharp edges the radius is 0.
         */
        Bends: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side?: "both" | "outside" | "inside";
            /**
             * Kind
             * @default bends
             * @constant
             */
            kind: "bends";
        };
        /**
         * Bezel
         * @description A ``wall`` that stands ``over`` the girdle, on its inside a ``ledge`` on which the stone rests; mm.
         *
         *     ``taper``: by how many degrees its outside narrows downwards. An "open" base lets light through, down to the far side of
         *     the metal; a "closed" one leaves what the stone does not need. It stands in the metal where that lies below it, else it
         *     ends ``depth`` mm below the girdle (0: a little below the stone).
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Bezel("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        Bezel: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Wall
             * @default 0.5
             */
            wall?: number;
            /**
             * Over
             * @default 0.5
             */
            over?: number;
            /**
             * Ledge
             * @default 0.3
             */
            ledge?: number;
            /**
             * Taper
             * @default 0
             */
            taper?: number;
            /**
             * Base
             * @default closed
             * @enum {string}
             */
            base?: "closed" | "open";
            /**
             * Depth
             * @default 0
             */
            depth?: number;
            /**
             * Kind
             * @default bezel
             * @constant
             */
            kind: "bezel";
        };
        /**
         * Block
         * @description A box about its middle ``point``, with its edges along the axes; mm.
         */
        Block: {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Size
             * @default [
             *       20,
             *       20,
             *       20
             *     ]
             */
            size?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default block
             * @constant
             */
            kind: "block";
        };
        /**
         * BoreHeld
         * @description The widest cylinder through it is ``diameter`` mm, give or take ``tolerance``.
         */
        BoreHeld: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Diameter
             * @default 17.3
             */
            diameter?: number;
            /**
             * Tolerance
             * @default 0.05
             */
            tolerance?: number;
            /**
             * Kind
             * @default bore
             * @constant
             */
            kind: "bore";
        };
        /**
         * Cabochon
         * @description An elliptical ``dome`` (% of the width) over a band of a ``girdle`` and a base: flat, or a ``back`` that is domed too.
         *
         *     Its volume is that of two half ellipsoids and an elliptical cylinder: 2/3 π a b h each, and π a b g.
         */
        Cabochon: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5
             */
            length?: number;
            /**
             * Dome
             * @default 40
             */
            dome?: number;
            /**
             * Back
             * @default 0
             */
            back?: number;
            /**
             * Girdle
             * @default 8
             */
            girdle?: number;
            /**
             * Kind
             * @default cabochon
             * @constant
             */
            kind: "cabochon";
        };
        /**
         * CentreOfMass
         * @description Along an ``axis`` the centre of mass lies from ``least`` to ``most`` mm.
         */
        CentreOfMass: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * Least
             * @default 0
             */
            least?: number;
            /**
             * Most
             * @default 10
             */
            most?: number;
            /**
             * Kind
             * @default centre-of-mass
             * @constant
             */
            kind: "centre-of-mass";
        };
        /**
         * Channel
         * @description Two walls ``over`` the girdles by so many mm and ``wall`` mm thick run along the stones in their order; between them a
         *     slot is open, into which each wall reaches ``bite`` mm over the girdle. The ends are closed by as much metal.
         *
         *     The stones' lengths lie along the row, or with ``across`` square to it.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.tile(np.eye(4), (3, 1, 1))
         *     >>> where[:, 1, 3], where[:, 2, 3] = [-5.5, 0, 5.5], 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Channel("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        Channel: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Wall
             * @default 0.6
             */
            wall?: number;
            /**
             * Over
             * @default 0.4
             */
            over?: number;
            /**
             * Bite
             * @default 0.15
             */
            bite?: number;
            /**
             * Kind
             * @default channel
             * @constant
             */
            kind: "channel";
        };
        /**
         * ClearanceKept
         * @description At least ``least`` mm lie between it and the component ``component``.
         */
        ClearanceKept: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Component
             * @default
             */
            component?: string;
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * Kind
             * @default clearance
             * @constant
             */
            kind: "clearance";
        };
        /**
         * Combine
         * @description Union, difference or intersection.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.exact import Cylinder
         *     >>> peg = Combine("f1", way="union", body=Cylinder((0, 0, 0), (0, 0, 1), 3.0, 60.0))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (peg,)))
         *     >>> made.notes[0].status, round(float(made.body.size[2]))
         *     ('done', 75)
         */
        Combine: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Way
             * @default union
             * @enum {string}
             */
            way?: "union" | "subtract" | "intersect";
            /** Body */
            body?: components["schemas"]["PieceBody"] | components["schemas"]["ImportedBody"] | components["schemas"]["Cylinder"] | components["schemas"]["Cone"] | components["schemas"]["Ball"] | components["schemas"]["Block"];
            /**
             * Kind
             * @default combine
             * @constant
             */
            kind: "combine";
        };
        /**
         * Combined
         * @description The curve that looks like ``first`` in one view and like ``second`` in another.
         *
         *     The second passes every height of the axis that both views show once.
         */
        Combined: {
            /**
             * First
             * @default
             */
            first?: string;
            /**
             * Second
             * @default
             */
            second?: string;
            /**
             * Views
             * @default front and right
             * @enum {string}
             */
            views?: "front and right" | "front and top" | "right and top";
            /**
             * Count
             * @default 12
             */
            count?: number;
            /**
             * Kind
             * @default combined
             * @constant
             */
            kind: "combined";
        };
        /**
         * Cone
         * @description A cone or its stump: ``radius`` at the foot, ``top_radius`` at the other end, which may be 0; mm.
         */
        Cone: {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Top Radius
             * @default 5
             */
            top_radius?: number;
            /**
             * Height
             * @default 20
             */
            height?: number;
            /**
             * Kind
             * @default cone
             * @constant
             */
            kind: "cone";
        };
        /**
         * CushionBrilliant
         * @description Rounded sides, by a superellipse; proportions of the round brilliant, across the width.
         */
        CushionBrilliant: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5.5
             */
            length?: number;
            /**
             * Table
             * @default 58
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default cushion
             * @constant
             */
            kind: "cushion";
        };
        /**
         * CutEdge
         * @description Chamfer edges: cut off at ``distance`` mm on both sides.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.followers.trim import Trim
         *     >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> edge = CutEdge("f2", between=("f1", "piece"), distance=1.5)
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, edge)))
         *     >>> [note.status for note in made.notes]
         *     ['done', 'done']
         */
        CutEdge: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Between
             * @default [
             *       "piece",
             *       "piece"
             *     ]
             */
            between?: [
                string,
                string
            ];
            /**
             * Near
             * @default null
             */
            near?: [
                number,
                number,
                number
            ] | null;
            /**
             * Distance
             * @default 1
             */
            distance?: number;
            /**
             * Kind
             * @default cut-edge
             * @constant
             */
            kind: "cut-edge";
        };
        /**
         * Cylinder
         * @description From the middle of its foot ``point`` along a direction; mm.
         */
        Cylinder: {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 10
             */
            radius?: number;
            /**
             * Height
             * @default 20
             */
            height?: number;
            /**
             * Kind
             * @default cylinder
             * @constant
             */
            kind: "cylinder";
        };
        /**
         * Deviation
         * @description Its surface lies within ``most`` mm of the piece ``other``, or of a ``component``, everywhere.
         */
        Deviation: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Component
             * @default
             */
            component?: string;
            /**
             * Most
             * @default 0.5
             */
            most?: number;
            /**
             * Kind
             * @default deviation
             * @constant
             */
            kind: "deviation";
        };
        /**
         * Distance
         * @description How far the second place is from the first: straight, square to the first's line or plane, or along an axis.
         */
        Distance: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Wanted
             * @default null
             */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            first?: components["schemas"]["Spot"];
            second?: components["schemas"]["Spot"];
            /**
             * Way
             * @default square
             * @enum {string}
             */
            way?: "straight" | "square" | "x" | "y" | "z";
            /**
             * Kind
             * @default distance
             * @constant
             */
            kind: "distance";
        };
        /**
         * Draft
         * @description No wall is steeper than ``least`` degrees of draft along a direction, so that a mould comes off both ways.
         *
         *     What faces along the direction comes off that way, what faces against it the other way; between them lie steep walls.
         */
        Draft: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Least
             * @default 1
             */
            least?: number;
            /**
             * Kind
             * @default draft
             * @constant
             */
            kind: "draft";
        };
        /**
         * Filled
         * @description ``source`` filled with quads, ``around`` faces along its border, and ``rings`` of faces before the middle.
         */
        Filled: {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Around
             * @default 12
             */
            around?: number;
            /**
             * Rings
             * @default 1
             */
            rings?: number;
            /**
             * Kind
             * @default filled
             * @constant
             */
            kind: "filled";
        };
        /**
         * Fillet
         * @description Round edges by ``radius`` mm; with ``end_radius``, from one to the other along an axis.
         *
         *     A variable radius goes from ``radius`` at the lowest point of the edges along ``axis`` to ``end_radius`` at the highest.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.solid.followers.trim import Trim
         *     >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> rounded = Fillet("f2", between=("f1", "piece"), radius=2.0)
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, rounded)))
         *     >>> [note.status for note in made.notes]
         *     ['done', 'done']
         */
        Fillet: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Between
             * @default [
             *       "piece",
             *       "piece"
             *     ]
             */
            between?: [
                string,
                string
            ];
            /**
             * Near
             * @default null
             */
            near?: [
                number,
                number,
                number
            ] | null;
            /**
             * Radius
             * @default 1
             */
            radius?: number;
            /**
             * End Radius
             * @default null
             */
            end_radius?: number | null;
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * Kind
             * @default fillet
             * @constant
             */
            kind: "fillet";
        };
        /**
         * FitBore
         * @description All that lies within a cylinder of a ``diameter`` mm about the axis through ``point`` is cut away.
         *
         *     >>> from zinc_otter.core.primitives.ring import ring_band
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> band = ring_band(16.0, (4, 4), (2, 2), "court", 16)
         *     >>> made = made_of_triangles(Recipe("Ring", band, (FitBore("f1", diameter=16.4),)))
         *     >>> made.notes[0].status, made.notes[0].words
         *     ('done', '')
         */
        FitBore: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Diameter
             * @default 17.3
             */
            diameter?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default fit-bore
             * @constant
             */
            kind: "fit-bore";
        };
        /**
         * FitsIn
         * @description It fits into a box of ``size`` mm, turned by quarters if that helps and ``turned`` allows it.
         */
        FitsIn: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Size
             * @default [
             *       100,
             *       100,
             *       100
             *     ]
             */
            size?: [
                number,
                number,
                number
            ];
            /**
             * Turned
             * @default true
             */
            turned?: boolean;
            /**
             * Kind
             * @default fits-in
             * @constant
             */
            kind: "fits-in";
        };
        /**
         * Flush
         * @description A seat of the stone's own form, open above; ``bright`` mm of the edge in the surface are cut off at 45 degrees.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 10.0
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Flush("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        Flush: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Bright
             * @default 0.15
             */
            bright?: number;
            /**
             * Kind
             * @default flush
             * @constant
             */
            kind: "flush";
        };
        /**
         * GapKept
         * @description At least ``least`` mm lie between it and the piece ``other``.
         */
        GapKept: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Least
             * @default 0.3
             */
            least?: number;
            /**
             * Kind
             * @default gap
             * @constant
             */
            kind: "gap";
        };
        /**
         * Hollow
         * @description All that lies deeper than ``wall`` mm is taken out. ``opening`` cuts the wall off beyond a plane.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Hollow("f1", wall=2.0),)))
         *     >>> made.notes[0].status, bool(made.body.volume < 12_000)
         *     ('done', True)
         */
        Hollow: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Wall
             * @default 2
             */
            wall?: number;
            /**
             * Vents
             * @default []
             */
            vents?: components["schemas"]["Vent"][];
            /**
             * Opening
             * @default null
             */
            opening?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
            /**
             * Kind
             * @default hollow
             * @constant
             */
            kind: "hollow";
        };
        /**
         * ImportedBody
         * @description A solid that was brought in, by its asset: ``turned`` by so many degrees about x, then y, then z, its origin then put
         *     to ``point``.
         */
        ImportedBody: {
            /** Asset */
            asset: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Turned
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            turned?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default imported
             * @constant
             */
            kind: "imported";
        };
        /**
         * Laid
         * @description ``curve`` where it lies nearest on ``onto``, ``above`` mm over its surface; as many control points, corners kept.
         */
        Laid: {
            /**
             * Curve
             * @default
             */
            curve?: string;
            /**
             * Onto
             * @default
             */
            onto?: string;
            /**
             * Above
             * @default 0
             */
            above?: number;
            /**
             * Kind
             * @default laid
             * @constant
             */
            kind: "laid";
        };
        /**
         * LaidBy
         * @description By what rule they were laid, so that it can be taken up again; lengths in mm.
         *
         *     - "points": where they were clicked, ``points``
         *     - "round": from each of ``points`` again, ``count`` times round the axis ``along`` through ``point``
         *     - "faces": evenly over ``ids``, faces of the form, ``gap`` apart
         *     - "curve": along a curve, by ``count`` or ``gap`` likewise; a single one lies ``at`` a share of its length
         *     - "edges": along the chain ``ids`` of edges, by ``count``, or where that is 0 ``gap`` apart
         */
        LaidBy: {
            /**
             * Way
             * @default points
             * @enum {string}
             */
            way?: "points" | "round" | "faces" | "edges" | "curve";
            /**
             * Points
             * @default []
             */
            points?: [
                number,
                number,
                number
            ][];
            /**
             * Ids
             * @default []
             */
            ids?: number[];
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Gap
             * @default 0.2
             */
            gap?: number;
            /**
             * At
             * @default 0.5
             */
            at?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
        };
        /**
         * LengthAlong
         * @description How long the surface is along some edges, or a curve along legs of its polygon; ``edges`` by their two vertices.
         */
        LengthAlong: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Wanted
             * @default null
             */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Edges
             * @default []
             */
            edges?: [
                number,
                number
            ][];
            /**
             * Kind
             * @default length
             * @constant
             */
            kind: "length";
        };
        /**
         * Loft
         * @description The surface through ``curves`` (ids), in the order in which they lie; ``count`` points round where it is above 0.
         *
         *     Closed curves may have flat ``ends``. With ``mended`` false their order, directions and beginnings are those given.
         */
        Loft: {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Each
             * @default 1
             */
            each?: number;
            /**
             * Count
             * @default 0
             */
            count?: number;
            /**
             * Closed
             * @default false
             */
            closed?: boolean;
            /**
             * Ends
             * @default open
             * @enum {string}
             */
            ends?: "open" | "flat";
            /**
             * Mended
             * @default true
             */
            mended?: boolean;
            /**
             * Kind
             * @default loft
             * @constant
             */
            kind: "loft";
        };
        /**
         * MarquiseBrilliant
         * @description Two arcs that meet in tips; proportions of the round brilliant, across the width.
         */
        MarquiseBrilliant: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 10
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default marquise
             * @constant
             */
            kind: "marquise";
        };
        /**
         * MirrorBody
         * @description The body and its mirror image in the plane through ``point``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> mirror = MirrorBody("f1", point=(40, 0, 0), normal=(1, 0, 0))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (mirror,)))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
         *     >>> round(made.body.volume / whole.body.volume, 6)
         *     2.0
         */
        MirrorBody: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default mirror-body
             * @constant
             */
            kind: "mirror-body";
        };
        /**
         * MirroredCopy
         * @description The image of ``source`` in a ``plane``.
         */
        MirroredCopy: {
            /**
             * Source
             * @default
             */
            source?: string;
            /** @default {
             *       "point": [
             *         0,
             *         0,
             *         0
             *       ],
             *       "normal": [
             *         1,
             *         0,
             *         0
             *       ]
             *     } */
            plane?: components["schemas"]["Plane"];
            /**
             * Kind
             * @default mirrored
             * @constant
             */
            kind: "mirrored";
        };
        /**
         * OvalBrilliant
         * @description A round brilliant drawn out; its angles are those across the width.
         */
        OvalBrilliant: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default oval
             * @constant
             */
            kind: "oval";
        };
        /**
         * Overhang
         * @description Nothing of the surface hangs over by more than ``most`` degrees from upright, as it stands along a direction; what
         *     lies on the floor does not count.
         */
        Overhang: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Most
             * @default 45
             */
            most?: number;
            /**
             * Kind
             * @default overhang
             * @constant
             */
            kind: "overhang";
        };
        /**
         * PearBrilliant
         * @description A half circle and two arcs that meet in a tip; proportions of the round brilliant, across the width.
         */
        PearBrilliant: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default pear
             * @constant
             */
            kind: "pear";
        };
        /**
         * Pearl
         * @description A ball, whole, or drilled from below with a ``bore`` in mm, half or all the way through.
         */
        Pearl: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Drilled
             * @default whole
             * @enum {string}
             */
            drilled?: "whole" | "half" | "through";
            /**
             * Bore
             * @default 0.8
             */
            bore?: number;
            /**
             * Kind
             * @default pearl
             * @constant
             */
            kind: "pearl";
        };
        /**
         * PieceBody
         * @description Another piece with its own followers.
         */
        PieceBody: {
            /** Piece */
            piece: string;
            /**
             * Kind
             * @default piece
             * @constant
             */
            kind: "piece";
        };
        /**
         * Pipe
         * @description A pipe of a ``diameter`` (mm, of its surface) round ``source``; ``around`` and ``each`` are its faces.
         *
         *     Of another ``section`` it is so wide, and a flat one ``thickness`` mm thick. At ``places`` (share of the length, mm) the
         *     diameter is another one. It begins ``turned`` by degrees, and twists by ``twist`` from end to end.
         *
         *     >>> from zinc_otter.core.curve import Curve
         *     >>> Pipe("p1").grow([Curve([(0, 0, 0), (10, 0, 0), (20, 5, 0)])]).form.topology.is_closed
         *     True
         */
        Pipe: {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Diameter
             * @default 2
             */
            diameter?: number;
            /**
             * Around
             * @default 8
             */
            around?: number;
            /**
             * Each
             * @default 3
             */
            each?: number;
            /**
             * Ends
             * @default flat
             * @enum {string}
             */
            ends?: "flat" | "open" | "round";
            /**
             * Twist
             * @default 0
             */
            twist?: number;
            /**
             * Section
             * @default round
             * @enum {string}
             */
            section?: "round" | "square" | "half-round" | "flat";
            /**
             * Thickness
             * @default 1
             */
            thickness?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Places
             * @default []
             */
            places?: [
                number,
                number
            ][];
            /**
             * Kind
             * @default pipe
             * @constant
             */
            kind: "pipe";
        };
        /**
         * Plane
         * @description A plane through ``point`` with unit ``normal``; its positive side is where the normal points.
         */
        Plane: {
            /** Point */
            point: [
                number,
                number,
                number
            ];
            /** Normal */
            normal: [
                number,
                number,
                number
            ];
        };
        /**
         * Prongs
         * @description ``count`` prongs of a ``wire`` (mm) ``over`` the girdle by so many mm, each leaning outwards by ``lean`` degrees.
         *
         *     "single", or "double": two beside one another at each place; "shared": those of neighbours that all but touch become one.
         *     Tips are round, flat, or "claw": drawn to a point over the crown. ``rails`` (0 to 2) tie them together below the girdle.
         *     ``turned`` degrees lay the first aside. A foot ends in the metal and never comes out below.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 12.5
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Prongs("f1", stones="p2"),), stones=laid)
         *     >>> made_of_triangles(recipe).notes[0].status
         *     'done'
         */
        Prongs: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Count
             * @default 4
             */
            count?: number;
            /**
             * Wire
             * @default 0.8
             */
            wire?: number;
            /**
             * Over
             * @default 0.5
             */
            over?: number;
            /**
             * Lean
             * @default 0
             */
            lean?: number;
            /**
             * Way
             * @default single
             * @enum {string}
             */
            way?: "single" | "double" | "shared";
            /**
             * Tip
             * @default round
             * @enum {string}
             */
            tip?: "round" | "flat" | "claw";
            /**
             * Rails
             * @default 0
             */
            rails?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Kind
             * @default prongs
             * @constant
             */
            kind: "prongs";
        };
        /**
         * RectangularBrilliant
         * @description Square or longer, with sharp corners from which pairs of facets fan out below, as many as ``chevrons``.
         *
         *     ``crown`` and ``pavilion`` are the angles of the facets at the girdle, across the width. Common practice, no source.
         */
        RectangularBrilliant: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 5
             */
            length?: number;
            /**
             * Table
             * @default 70
             */
            table?: number;
            /**
             * Crown
             * @default 36
             */
            crown?: number;
            /**
             * Pavilion
             * @default 58
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Chevrons
             * @default 3
             */
            chevrons?: number;
            /**
             * Kind
             * @default rectangular
             * @constant
             */
            kind: "rectangular";
        };
        /**
         * Repeat
         * @description ``count`` images of the ``originals`` (ids), which are the first of them while the ``phase`` is 0.
         *
         *     - "round": about the axis ``along`` through ``point``, over ``degrees``
         *     - "rows": by ``step`` mm, and ``rows`` of them by ``aside`` mm
         *     - "curve": along the curve ``rail``, evenly by its length, turning with it; ``upright`` holds their z. With a ``pitch``
         *       in mm they are as many as stand so far apart, or a little nearer round a closed one; each is ``turned`` by so many
         *       degrees about the way against the one before, as links of a chain are
         *
         *     ``phase`` moves all by so many steps: a half lays them between. ``left_out`` are images that stand on their own by now.
         *     As a solid the images are "united" where they meet, or bodies "apart": so are those of one original, as long as nothing
         *     is done to the repeat as a whole.
         */
        Repeat: {
            /**
             * Originals
             * @default []
             */
            originals?: string[];
            /**
             * Way
             * @default round
             * @enum {string}
             */
            way?: "round" | "rows" | "curve";
            /**
             * Count
             * @default 6
             */
            count?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Degrees
             * @default 360
             */
            degrees?: number;
            /**
             * Step
             * @default [
             *       20,
             *       0,
             *       0
             *     ]
             */
            step?: [
                number,
                number,
                number
            ];
            /**
             * Rows
             * @default 1
             */
            rows?: number;
            /**
             * Aside
             * @default [
             *       0,
             *       20,
             *       0
             *     ]
             */
            aside?: [
                number,
                number,
                number
            ];
            /**
             * Rail
             * @default
             */
            rail?: string;
            /**
             * Upright
             * @default false
             */
            upright?: boolean;
            /**
             * Pitch
             * @default 0
             */
            pitch?: number;
            /**
             * Turned
             * @default 0
             */
            turned?: number;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * Left Out
             * @default []
             */
            left_out?: number[];
            /**
             * Bodies
             * @default united
             * @enum {string}
             */
            bodies?: "united" | "apart";
            /**
             * Kind
             * @default repeat
             * @constant
             */
            kind: "repeat";
        };
        /**
         * RepeatAlong
         * @description ``count`` copies along a direction, ``spacing`` mm apart; ``phase`` moves the first by so many steps.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> row = RepeatAlong("f1", count=3, along=(1, 0, 0), spacing=50.0)
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (row,))).body
         *     >>> round(float(made.size[0] - whole.size[0]), 6), round(made.volume / whole.volume, 6)
         *     (100.0, 3.0)
         */
        RepeatAlong: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Along
             * @default [
             *       1,
             *       0,
             *       0
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 3
             */
            count?: number;
            /**
             * Spacing
             * @default 20
             */
            spacing?: number;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * Kind
             * @default repeat-along
             * @constant
             */
            kind: "repeat-along";
        };
        /**
         * RepeatRound
         * @description ``count`` copies about an axis, ``angle`` degrees from one to the next (None: evenly all round).
         *
         *     ``phase`` moves the first by so many steps: a half lays it between.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> four = RepeatRound("f1", count=4, point=(50, 0, 0), along=(0, 0, 1))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
         *     >>> round(made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (four,))).body.volume / whole.volume, 6)
         *     4.0
         */
        RepeatRound: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 6
             */
            count?: number;
            /**
             * Angle
             * @default null
             */
            angle?: number | null;
            /**
             * Phase
             * @default 0
             */
            phase?: number;
            /**
             * Kind
             * @default repeat-round
             * @constant
             */
            kind: "repeat-round";
        };
        /**
         * RoseCut
         * @description 24 triangles above a girdle and a flat base; ``dome`` is the height above the girdle. Common practice, no source.
         */
        RoseCut: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Dome
             * @default 40
             */
            dome?: number;
            /**
             * Girdle
             * @default 3
             */
            girdle?: number;
            /**
             * Kind
             * @default rose
             * @constant
             */
            kind: "rose";
        };
        /**
         * Round
         * @description The diameter, or the radius, of the circle that lies nearest to the surface at some vertices.
         */
        Round: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Wanted
             * @default null
             */
            wanted?: number | null;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Vertices
             * @default []
             */
            vertices?: number[];
            /**
             * Radius
             * @default false
             */
            radius?: boolean;
            /**
             * Kind
             * @default round
             * @constant
             */
            kind: "round";
        };
        /**
         * RoundBrilliant
         * @description 57 facets, and a 58th where there is a culet.
         *
         *     Proportions to begin with: table 57 %, crown 34.5°, pavilion 40.75°, stars 50 %, lower halves 77 %; common practice, from
         *     memory. M. Tolkowsky, "Diamond Design", 1919, gives a table of 53 % with 34.5° and 40.75°.
         *
         *     >>> len(RoundBrilliant(6.5).gem.facets) - 96
         *     57
         */
        RoundBrilliant: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Table
             * @default 57
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40.75
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 50
             */
            star?: number;
            /**
             * Lower
             * @default 77
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default round
             * @constant
             */
            kind: "round";
        };
        /**
         * ScaleToSize
         * @description Scale evenly about ``about`` until ``measure`` is ``length`` mm: an extent, or the distance of two points.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 20, 20), (2, 2, 2)), (ScaleToSize("f1", length=100.0),)))
         *     >>> round(float(made.body.size.max()), 3)
         *     100.0
         */
        ScaleToSize: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Measure
             * @default longest
             * @enum {string}
             */
            measure?: "longest" | "x" | "y" | "z" | "distance";
            /**
             * Length
             * @default 100
             */
            length?: number;
            /**
             * Ends
             * @default null
             */
            ends?: [
                [
                    number,
                    number,
                    number
                ],
                [
                    number,
                    number,
                    number
                ]
            ] | null;
            /**
             * About
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            about?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default scale-to-size
             * @constant
             */
            kind: "scale-to-size";
        };
        /**
         * SeamEven
         * @description In the plane across ``axis`` at ``at`` mm the form and its mirror image meet at ``most`` degrees or less.
         *
         *     Of a half, as it stands, it is the border in that plane that counts; of a whole what lies in it: its side of greater
         *     ``axis``, and that mirrored. Images that meet without an angle bend alike there, too, so that a highlight runs across
         *     without a break: across a plane of symmetry a height and its image have the same second derivative.
         */
        SeamEven: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * At
             * @default 0
             */
            at?: number;
            /**
             * Most
             * @default 1
             */
            most?: number;
            /**
             * Kind
             * @default seam
             * @constant
             */
            kind: "seam";
        };
        /**
         * Seats
         * @description A seat about each stone, its outline as wide at every height as the stone reaches there, to its girdle's upper edge
         *     and ``above`` mm straight up: "cut" into the body, or "alone", the cutters in its place. It holds nothing.
         *
         *     >>> import numpy as np
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.stone.stone import Stone
         *     >>> where = np.eye(4)[None].copy()
         *     >>> where[0, 2, 3] = 15.0
         *     >>> laid = {"p2": [(Stone(), where)]}
         *     >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Seats("f1", stones="p2", way="alone"),), stones=laid)
         *     >>> bool(made_of_triangles(recipe).body.size[0] < 7)
         *     True
         */
        Seats: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Stones
             * @default
             */
            stones?: string;
            /**
             * Clearance
             * @default 0.02
             */
            clearance?: number;
            /**
             * Way
             * @default cut
             * @enum {string}
             */
            way?: "cut" | "alone";
            /**
             * Above
             * @default 2
             */
            above?: number;
            /**
             * Kind
             * @default seats
             * @constant
             */
            kind: "seats";
        };
        /**
         * Section
         * @description The line in which a plane cuts ``source``, by ``count`` control points; of several the longest, or the next ones.
         */
        Section: {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 12
             */
            count?: number;
            /**
             * Which
             * @default 0
             */
            which?: number;
            /**
             * Kind
             * @default section
             * @constant
             */
            kind: "section";
        };
        /**
         * SizeHeld
         * @description The surface's extent along an axis is ``size`` mm, give or take ``tolerance``.
         */
        SizeHeld: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * Size
             * @default 50
             */
            size?: number;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Kind
             * @default size
             * @constant
             */
            kind: "size";
        };
        /**
         * Skin
         * @description The surface over ``curves`` (ids) of two families that cross; within ``tolerance`` mm they are drawn together.
         */
        Skin: {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Each
             * @default 2
             */
            each?: number;
            /**
             * Tolerance
             * @default 0.1
             */
            tolerance?: number;
            /**
             * Kind
             * @default skin
             * @constant
             */
            kind: "skin";
        };
        /**
         * Sound
         * @description Closed, and nowhere running through itself.
         */
        Sound: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Kind
             * @default sound
             * @constant
             */
            kind: "sound";
        };
        /**
         * Spot
         * @description One place. ``ids`` names it on the ``piece``: a "vertex" by its number, an "edge" by its two vertices, a "face" by its
         *     number; a "place" on the surface lies in a face's corner at ``share``, as an Anchor does, and on a curve behind a control
         *     point by a share of its leg. An "axis" of the world goes by ``axis`` and has no piece; "gone" is what was lost.
         */
        Spot: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "vertex" | "edge" | "face" | "place" | "axis" | "gone";
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Ids
             * @default []
             */
            ids?: number[];
            /**
             * Share
             * @default [
             *       0,
             *       0
             *     ]
             */
            share?: [
                number,
                number
            ];
            /**
             * Axis
             * @default z
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
        };
        /**
         * Sprue
         * @description A round stub of a ``diameter`` and ``length`` (mm) that stands at ``point`` on the body, ``along`` a way out of it.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> stub = Sprue("f1", diameter=3.0, length=8.0, point=(0, 0, 15), along=(0, 0, 1))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (stub,)))
         *     >>> made.notes[0].status, bool(made.body.size[2] > 30)
         *     ('done', True)
         */
        Sprue: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Diameter
             * @default 2.5
             */
            diameter?: number;
            /**
             * Length
             * @default 8
             */
            length?: number;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default sprue
             * @constant
             */
            kind: "sprue";
        };
        /**
         * StandsUp
         * @description Put down along the opposite of ``up``, it can be tilted by ``least`` degrees and comes back.
         *
         *     It stands on the hull of what touches the ground, and tips over an edge of it when its centre of mass has come over that
         *     edge (statics of a rigid body).
         */
        StandsUp: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Up
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            up?: [
                number,
                number,
                number
            ];
            /**
             * Least
             * @default 10
             */
            least?: number;
            /**
             * Kind
             * @default stands-up
             * @constant
             */
            kind: "stands-up";
        };
        /**
         * StepCut
         * @description Facets in steps alongside the girdle, the corners cut by a share of the width; ``crown`` and ``pavilion`` are the
         *     angles of the steps at the girdle. Common practice, no source.
         */
        StepCut: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Length
             * @default 7
             */
            length?: number;
            /**
             * Table
             * @default 60
             */
            table?: number;
            /**
             * Crown
             * @default 40
             */
            crown?: number;
            /**
             * Pavilion
             * @default 52
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Corner
             * @default 15
             */
            corner?: number;
            /**
             * Steps
             * @default 3
             */
            steps?: number;
            /**
             * Kind
             * @default step
             * @constant
             */
            kind: "step";
        };
        /**
         * Stone
         * @description Equal ones are alike to the last facet. Raises BadNumberError for a material that is not in the table.
         */
        Stone: {
            /**
             * Cut
             * @default {
             *       "width": 5,
             *       "table": 57,
             *       "crown": 34.5,
             *       "pavilion": 40.75,
             *       "girdle": 3.5,
             *       "star": 50,
             *       "lower": 77,
             *       "culet": 0,
             *       "kind": "round"
             *     }
             */
            cut?: components["schemas"]["Baguette"] | components["schemas"]["Cabochon"] | components["schemas"]["CushionBrilliant"] | components["schemas"]["MarquiseBrilliant"] | components["schemas"]["OvalBrilliant"] | components["schemas"]["PearBrilliant"] | components["schemas"]["Pearl"] | components["schemas"]["RectangularBrilliant"] | components["schemas"]["RoseCut"] | components["schemas"]["RoundBrilliant"] | components["schemas"]["StepCut"] | components["schemas"]["TrillionBrilliant"];
            /**
             * Material
             * @default diamond
             */
            material?: string;
        };
        /**
         * StonePlace
         * @description One stone on a face's ``corner`` at ``u``, ``v`` (see :mod:`anchors`): turned by so many degrees, sunk by so many mm
         *     and so many times as large beside what all are.
         */
        StonePlace: {
            /** Corner */
            corner: number;
            /** U */
            u: number;
            /** V */
            v: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Size
             * @default 1
             */
            size?: number;
        };
        /**
         * Stones
         * @description ``stone`` in each of ``places`` on the form ``host``; or along the curve ``rail``, by the count or gap of ``laid``.
         *
         *     On a form the table looks along the normal, along a curve to where the form ``host`` looks beside it, or else up. The
         *     girdle's middle lies ``sink`` mm below the surface; all are turned by ``turn`` degrees.
         */
        Stones: {
            /**
             * Host
             * @default
             */
            host?: string;
            /**
             * Rail
             * @default
             */
            rail?: string;
            stone?: components["schemas"]["Stone"];
            /**
             * Places
             * @default []
             */
            places?: components["schemas"]["StonePlace"][];
            /**
             * Sink
             * @default 0
             */
            sink?: number;
            /**
             * Turn
             * @default 0
             */
            turn?: number;
            laid?: components["schemas"]["LaidBy"];
            /**
             * Kind
             * @default stones
             * @constant
             */
            kind: "stones";
        };
        /**
         * Strip
         * @description ``source`` drawn out by a vector ``by`` (mm), or across to another curve, ``other``; ``count`` faces across.
         *
         *     With a ``surface``, a piece with faces, it is drawn out along that one's normals, ``height`` mm, below 0 inwards.
         */
        Strip: {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Other
             * @default
             */
            other?: string;
            /**
             * Surface
             * @default
             */
            surface?: string;
            /**
             * By
             * @default [
             *       0,
             *       0,
             *       10
             *     ]
             */
            by?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Height
             * @default 5
             */
            height?: number;
            /**
             * Kind
             * @default strip
             * @constant
             */
            kind: "strip";
        };
        /**
         * Sweep
         * @description ``profiles`` (ids) along ``rail``, "as it lies" beside it or "square" to it; with a ``second`` rail for the width.
         */
        Sweep: {
            /**
             * Rail
             * @default
             */
            rail?: string;
            /**
             * Profiles
             * @default []
             */
            profiles?: string[];
            /**
             * Second
             * @default
             */
            second?: string;
            /**
             * Stands
             * @default as it lies
             * @enum {string}
             */
            stands?: "as it lies" | "square";
            /**
             * Turns
             * @default least
             * @enum {string}
             */
            turns?: "least" | "upright";
            /**
             * Each
             * @default 2
             */
            each?: number;
            /**
             * Ends
             * @default flat
             * @enum {string}
             */
            ends?: "open" | "flat";
            /**
             * Twist
             * @default 0
             */
            twist?: number;
            /**
             * Kind
             * @default sweep
             * @constant
             */
            kind: "sweep";
        };
        /**
         * Symmetric
         * @description Its mirror image in the plane across ``axis`` at ``at`` mm lies within ``tolerance`` mm of it.
         */
        Symmetric: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Axis
             * @default x
             * @enum {string}
             */
            axis?: "x" | "y" | "z";
            /**
             * At
             * @default 0
             */
            at?: number;
            /**
             * Tolerance
             * @default 0.05
             */
            tolerance?: number;
            /**
             * Kind
             * @default symmetric
             * @constant
             */
            kind: "symmetric";
        };
        /**
         * Thickened
         * @description A wall of ``distance`` mm of an open cage, to one side or both; see ``thicken``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> from zinc_otter.core.primitives import plane
         *     >>> wall = Thickened("f1", distance=2.0)
         *     >>> made = made_of_triangles(Recipe("Sheet", plane((40, 30), (2, 2)), (wall,)))
         *     >>> made.notes[0].status, round(float(made.body.size[2]), 3)
         *     ('done', 2.0)
         */
        Thickened: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Distance
             * @default 2
             */
            distance?: number;
            /**
             * Side
             * @default in
             * @enum {string}
             */
            side?: "in" | "out" | "both";
            /**
             * Crease Rims
             * @default true
             */
            crease_rims?: boolean;
            /**
             * Kind
             * @default thickened
             * @constant
             */
            kind: "thickened";
        };
        /**
         * Threaded
         * @description The smooth curve through one place of each of the ``curves`` (ids), in their order.
         *
         *     ``places`` are shares of their lengths, 0 to 1, so that it goes along when they are pulled.
         */
        Threaded: {
            /**
             * Curves
             * @default []
             */
            curves?: string[];
            /**
             * Places
             * @default []
             */
            places?: number[];
            /**
             * Kind
             * @default threaded
             * @constant
             */
            kind: "threaded";
        };
        /**
         * TrillionBrilliant
         * @description Three sides that are arcs; its width is that between two corners. Common practice, no source.
         */
        TrillionBrilliant: {
            /**
             * Width
             * @default 5
             */
            width?: number;
            /**
             * Table
             * @default 60
             */
            table?: number;
            /**
             * Crown
             * @default 34.5
             */
            crown?: number;
            /**
             * Pavilion
             * @default 40
             */
            pavilion?: number;
            /**
             * Girdle
             * @default 3.5
             */
            girdle?: number;
            /**
             * Star
             * @default 70
             */
            star?: number;
            /**
             * Lower
             * @default 70
             */
            lower?: number;
            /**
             * Culet
             * @default 0
             */
            culet?: number;
            /**
             * Kind
             * @default trillion
             * @constant
             */
            kind: "trillion";
        };
        /**
         * Trim
         * @description What lies on the side that ``normal`` points to is cut off, in the plane through ``point``.
         *
         *     >>> from zinc_otter.core.primitives import box
         *     >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
         *     >>> from zinc_otter.core.solid.recipe import Recipe
         *     >>> trim = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
         *     >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (trim,)))
         *     >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
         *     >>> round(made.body.volume / whole.body.volume, 3)
         *     0.5
         */
        Trim: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Normal
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            normal?: [
                number,
                number,
                number
            ];
            /**
             * Kind
             * @default trim
             * @constant
             */
            kind: "trim";
        };
        /**
         * TrimBySheet
         * @description What lies on the side that the faces of ``sheet``, another piece, look to is cut off; ``flipped``, the other side.
         *
         *     >>> from zinc_otter.core.errors import CoreError
         *     >>> TrimBySheet("f1", sheet="p2").called
         *     'Trim'
         */
        TrimBySheet: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * On
             * @default true
             */
            on?: boolean;
            /**
             * Sheet
             * @default
             */
            sheet?: string;
            /**
             * Flipped
             * @default false
             */
            flipped?: boolean;
            /**
             * Kind
             * @default trim-sheet
             * @constant
             */
            kind: "trim-sheet";
        };
        /**
         * Turned
         * @description ``source`` turned by ``degrees`` about the axis ``along`` through ``point``, in ``count`` faces.
         */
        Turned: {
            /**
             * Source
             * @default
             */
            source?: string;
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Count
             * @default 8
             */
            count?: number;
            /**
             * Degrees
             * @default 360
             */
            degrees?: number;
            /**
             * Kind
             * @default turned
             * @constant
             */
            kind: "turned";
        };
        /**
         * Vent
         * @description A hole of ``radius`` mm through the wall at ``point``, along a direction.
         */
        Vent: {
            /**
             * Point
             * @default [
             *       0,
             *       0,
             *       0
             *     ]
             */
            point?: [
                number,
                number,
                number
            ];
            /**
             * Along
             * @default [
             *       0,
             *       0,
             *       1
             *     ]
             */
            along?: [
                number,
                number,
                number
            ];
            /**
             * Radius
             * @default 2
             */
            radius?: number;
        };
        /**
         * Wall
         * @description At least ``least`` mm of material at any point of the surface, measured ``by`` what goes straight inwards from it, or
         *     by the diameter of the largest ball within that touches it there.
         *
         *     Rays go square to the surface at its dense points. In a wedge they tell more than there is, and a ball tells how far the
         *     sides are apart; towards sharp edges a ball comes to nothing, whatever the wall. In a drag about fifteen hundred points
         *     are looked at, at rest up to twelve thousand, and a quarter of that by balls: the words say how many.
         */
        Wall: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Least
             * @default 0.8
             */
            least?: number;
            /**
             * By
             * @default ray
             * @enum {string}
             */
            by?: "ray" | "ball";
            /**
             * Kind
             * @default wall
             * @constant
             */
            kind: "wall";
        };
        /**
         * WeighsAtMost
         * @description In ``material`` it weighs ``most`` grams or less; by the volume within its surface.
         */
        WeighsAtMost: {
            /**
             * Id
             * @default
             */
            id?: string;
            /**
             * Piece
             * @default
             */
            piece?: string;
            /**
             * Of Body
             * @default false
             */
            of_body?: boolean;
            /**
             * Material
             * @default Silver, 925 with copper
             */
            material?: string;
            /**
             * Most
             * @default 10
             */
            most?: number;
            /**
             * Kind
             * @default weight
             * @constant
             */
            kind: "weight";
        };
        LiveAsked: components["schemas"]["AskPreview"] | components["schemas"]["AskCommit"] | components["schemas"]["AskCancel"] | components["schemas"]["AskLevel"] | components["schemas"]["AskWeigh"] | components["schemas"]["AskCurves"] | components["schemas"]["AskGaps"] | components["schemas"]["AskMap"] | components["schemas"]["AskBodies"] | components["schemas"]["AskStop"];
        /**
         * BodyEdge
         * @description Where what meets what: the two makers, the length in mm, segments to be drawn, and the chain of each segment.
         */
        BodyEdge: {
            /** Between */
            between: [
                string,
                string
            ];
            /** Length */
            length: number;
            /**
             * Lines
             * Format: float32s
             */
            lines: Float32Array;
            /**
             * Chains
             * Format: int32s
             */
            chains: Int32Array;
        };
        /**
         * BodyFrame
         * @description The body of one piece, and what it was made from.
         */
        BodyFrame: {
            /**
             * Route
             * @enum {string}
             */
            route: "mesh" | "kernel" | "none";
            /** Problem */
            problem?: string;
            place?: components["schemas"]["PlaceSchema"];
            /**
             * Points
             * Format: float32s
             */
            points?: Float32Array;
            /**
             * Normals
             * Format: float32s
             */
            normals?: Float32Array;
            /**
             * Triangles
             * Format: int32s
             */
            triangles?: Int32Array;
            /** Notes */
            notes: [
                string,
                string,
                string,
                components["schemas"]["PlaceSchema"]
            ][];
            /** Edges */
            edges?: components["schemas"]["BodyEdge"][];
            /** Own */
            own?: number;
            /** Added */
            added?: number;
            /** Volume */
            volume?: number;
            /** Size */
            size?: [
                number,
                number,
                number
            ];
            /** Id */
            id: string;
            /** Made From */
            made_from: string;
        };
        /**
         * CageFrame
         * @description A whole control cage: positions in mm, flat; faces as runs of vertices; edges by their two vertices and faces.
         */
        CageFrame: {
            /**
             * Positions
             * Format: float64s
             */
            positions: Float64Array;
            /**
             * Face Verts
             * Format: int32s
             */
            face_verts: Int32Array;
            /**
             * Face Offsets
             * Format: int32s
             */
            face_offsets: Int32Array;
            /**
             * Edge Verts
             * Format: int32s
             */
            edge_verts: Int32Array;
            /**
             * Edge Faces
             * Format: int32s
             */
            edge_faces: Int32Array;
            /**
             * Edge Sharpness
             * Format: float32s
             */
            edge_sharpness: Float32Array;
            /**
             * Vertex Sharpness
             * Format: float32s
             */
            vertex_sharpness: Float32Array;
            /**
             * Edge Open
             * Format: uint8s
             */
            edge_open: Uint8Array;
            /**
             * Edge Seam
             * Format: uint8s
             */
            edge_seam: Uint8Array;
            images: components["schemas"]["Images"] | null;
        };
        /** CageRows */
        CageRows: {
            /**
             * Rows
             * Format: int32s
             */
            rows: Int32Array;
            /**
             * Positions
             * Format: float64s
             */
            positions: Float64Array;
        };
        /**
         * CopiesFrame
         * @description Images of another piece, by its id, or of a stone: one matrix (16, by columns) after the other.
         *
         *     A viewer is told what a stone looks like once, with the first images of it; it keeps that by the name ``of``.
         */
        CopiesFrame: {
            /** Of */
            of: string;
            /**
             * Motions
             * Format: float32s
             */
            motions: Float32Array;
            gem?: components["schemas"]["GemFrame"];
        };
        /**
         * GemFrame
         * @description A stone as triangles: three points (9 numbers) after the other, with their normals, and its colour; a ``smooth``
         *     one has no facets.
         */
        GemFrame: {
            /**
             * Points
             * Format: float32s
             */
            points: Float32Array;
            /**
             * Normals
             * Format: float32s
             */
            normals: Float32Array;
            /** Tint */
            tint: string;
            /** Smooth */
            smooth: boolean;
        };
        /**
         * Images
         * @description What each element answers to on the other sides of a symmetric piece, flat, one side after the other.
         */
        Images: {
            /**
             * Vertex
             * Format: int32s
             */
            vertex: Int32Array;
            /**
             * Edge
             * Format: int32s
             */
            edge: Int32Array;
            /**
             * Face
             * Format: int32s
             */
            face: Int32Array;
        };
        /**
         * LineFrame
         * @description The line of a curve, as points flat, from its begin to its end; a closed one ends where it begins.
         */
        LineFrame: {
            /**
             * Points
             * Format: float32s
             */
            points: Float32Array;
            /** Closed */
            closed: boolean;
        };
        /**
         * Near
         * @description The nearest point of a piece's surface to a component, and the distance of each vertex of its cage, in mm.
         *
         *     Below 0 inside; a component that is not ``signed`` is open and has no inside.
         */
        Near: {
            /** Piece */
            piece: string;
            /** Reference */
            reference: string;
            /** Asked */
            asked: number;
            /** Distance */
            distance: number;
            /** Signed */
            signed: boolean;
            /** From */
            from: [
                number,
                number,
                number
            ];
            /** To */
            to: [
                number,
                number,
                number
            ];
            /**
             * Vertices
             * Format: float32s
             */
            vertices: Float32Array;
        };
        /**
         * PieceFrame
         * @description One piece: whole where its structure changed, else the rows that moved. A curve has a line, and no faces; images of
         *     other pieces are nothing but their places.
         */
        PieceFrame: {
            /** Id */
            id: string;
            cage?: components["schemas"]["CageFrame"];
            surface?: components["schemas"]["SurfaceFrame"];
            cage_rows?: components["schemas"]["CageRows"];
            surface_rows?: components["schemas"]["SurfaceRows"];
            line?: components["schemas"]["LineFrame"];
            /** Copies */
            copies?: components["schemas"]["CopiesFrame"][];
            /**
             * Mask
             * Format: uint8s
             */
            mask?: Uint8Array;
        };
        /**
         * ShownBore
         * @description The widest cylinder that goes through a piece: mm, its axis, and its size by the systems of rings.
         */
        ShownBore: {
            /** Piece */
            piece: string;
            /** Diameter */
            diameter: number;
            /** Point */
            point: [
                number,
                number,
                number
            ];
            /** Along */
            along: [
                number,
                number,
                number
            ];
            /** Words */
            words: string;
        };
        /**
         * ShownCurve
         * @description A curve on a piece's surface, and at each of its points the curvature vector in 1/mm.
         */
        ShownCurve: {
            /**
             * Of
             * @enum {string}
             */
            of: "section" | "seam" | "edges";
            /**
             * Points
             * Format: float32s
             */
            points: Float32Array;
            /**
             * Bending
             * Format: float32s
             */
            bending: Float32Array;
            /** Closed */
            closed: boolean;
            /** Least Radius */
            least_radius: number | null;
            /** Tightest */
            tightest: [
                number,
                number,
                number
            ];
        };
        /**
         * ShownDimension
         * @description How a dimension is drawn: a ``line`` of points, ``helper`` lines by pairs of points, and the place of its figure.
         */
        ShownDimension: {
            /**
             * Line
             * Format: float32s
             */
            line: Float32Array;
            /**
             * Helper
             * Format: float32s
             */
            helper: Float32Array;
            /** Label */
            label: [
                number,
                number,
                number
            ];
            /**
             * Unit
             * @enum {string}
             */
            unit: "mm" | "°";
            /** Sign */
            sign: string;
        };
        /**
         * ShownGap
         * @description The smallest gap in mm between the images of a repeat, or between it and an ``other`` piece.
         *
         *     Below 0 where they run into one another.
         */
        ShownGap: {
            /** Piece */
            piece: string;
            /** Other */
            other: string | null;
            /** Distance */
            distance: number;
            /**
             * State
             * @enum {string}
             */
            state: "apart" | "touch" | "overlap";
            /** From */
            from: [
                number,
                number,
                number
            ];
            /** To */
            to: [
                number,
                number,
                number
            ];
        };
        /**
         * ShownMap
         * @description What a proof asks of, a number at every row of its piece's surface in a ``unit``: those ``below`` the limit are at
         *     fault, or else those above, or on ``both`` sides of 0 those further from it; what is not a number could not be told.
         *     ``low`` and ``high`` hold all but a hundredth of its points; ``counts`` are these by even steps, ``share`` how many are
         *     at fault.
         */
        ShownMap: {
            /** Proof */
            proof: string;
            /** Piece */
            piece: string;
            /**
             * Rows
             * Format: float32s
             */
            rows: Float32Array;
            /**
             * Unit
             * @enum {string}
             */
            unit: "mm" | "°";
            /** Limit */
            limit: number;
            /** Below */
            below: boolean;
            /** Both */
            both: boolean;
            /** Low */
            low: number;
            /** High */
            high: number;
            /** Counts */
            counts: number[];
            /** Share */
            share: number;
        };
        /**
         * ShownProof
         * @description What is asked of a piece, and how it stands; not ``fine`` where it was looked at coarsely, as in a drag.
         */
        ShownProof: {
            /** Id */
            id: string;
            /** Piece */
            piece: string;
            /** Asked */
            asked: string;
            /**
             * Holds
             * @enum {string}
             */
            holds: "holds" | "fails" | "unknown" | "told";
            /** Words */
            words: string;
            /** Figure */
            figure: number | null;
            place: components["schemas"]["PlaceSchema"];
            /** Fine */
            fine: boolean;
            drawn: components["schemas"]["ShownDimension"] | null;
        };
        /**
         * ShownStones
         * @description How the stones of a piece lie: how many, their weight together, the least metal left below one of them in mm (null
         *     where none reaches into it) and where, by how many mm one comes out on the far side and where, the mm of metal
         *     ``between`` the seats of the two nearest of all stones where one is its own (null where they have none), and what is the
         *     matter.
         */
        ShownStones: {
            /** Piece */
            piece: string;
            /** Count */
            count: number;
            /** Carats */
            carats: number;
            /** Left */
            left: number | null;
            /** Left At */
            left_at: [
                number,
                number,
                number
            ] | null;
            /** Through */
            through: number;
            /** Through At */
            through_at: [
                number,
                number,
                number
            ][];
            /** Overlaps */
            overlaps: number;
            /** Between */
            between: number | null;
            /** Says */
            says: string[];
        };
        /**
         * SurfaceFrame
         * @description A whole surface at a level: rows of limit points and normals, quads of rows, and the face that each came from.
         */
        SurfaceFrame: {
            /** Level */
            level: number;
            /**
             * Positions
             * Format: float32s
             */
            positions: Float32Array;
            /**
             * Normals
             * Format: float32s
             */
            normals: Float32Array;
            /**
             * Quads
             * Format: int32s
             */
            quads: Int32Array;
            /**
             * Face Of Quad
             * Format: int32s
             */
            face_of_quad: Int32Array;
        };
        /**
         * SurfaceRows
         * @description Rows that moved; null for all of them, in their order.
         */
        SurfaceRows: {
            /** Rows */
            rows: Int32Array | null;
            /**
             * Positions
             * Format: float32s
             */
            positions: Float32Array;
            /**
             * Normals
             * Format: float32s
             */
            normals: Float32Array;
        };
        /**
         * TellBodies
         * @description Comes by itself, a little after the pieces.
         */
        TellBodies: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "bodies";
            /** Bodies */
            bodies: components["schemas"]["BodyFrame"][];
            /** Gone */
            gone: string[];
        };
        /** TellCurves */
        TellCurves: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "curves";
            /** Seq */
            seq: number;
            /** Curves */
            curves: components["schemas"]["ShownCurve"][];
        };
        /**
         * TellFound
         * @description What was found on the frame of that number when it was looked at more closely: instead of what it said.
         */
        TellFound: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "found";
            /** Seq */
            seq: number;
            /** Notes */
            notes: string[];
            /** Suspect */
            suspect: number[];
        };
        /**
         * TellFrame
         * @description The design as a command would leave it.
         */
        TellFrame: {
            /** Pieces */
            pieces: components["schemas"]["PieceFrame"][];
            /** Gone */
            gone: string[];
            /** Clearances */
            clearances?: components["schemas"]["Near"][];
            /** Gaps */
            gaps?: components["schemas"]["ShownGap"][];
            /** Stones */
            stones?: components["schemas"]["ShownStones"][];
            /** Bores */
            bores?: components["schemas"]["ShownBore"][];
            /** Proofs */
            proofs?: components["schemas"]["ShownProof"][];
            map?: components["schemas"]["ShownMap"] | null;
            /** Curves */
            curves?: components["schemas"]["ShownCurve"][];
            weights?: components["schemas"]["Weights"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "frame";
            /** Seq */
            seq: number;
            preview: components["schemas"]["PreviewState"];
        };
        /** TellGaps */
        TellGaps: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "gaps";
            /** Seq */
            seq: number;
            /** Gaps */
            gaps: components["schemas"]["ShownGap"][];
        };
        /** TellMap */
        TellMap: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "map";
            /** Seq */
            seq: number;
            map: components["schemas"]["ShownMap"] | null;
        };
        /**
         * TellProblem
         * @description A refusal; where it refuses a change, the design as it stands comes after it.
         */
        TellProblem: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "problem";
            /** Seq */
            seq: number;
            problem: components["schemas"]["Problem"];
        };
        /**
         * TellProofs
         * @description Comes by itself, once the bodies are made that some of them go by.
         */
        TellProofs: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "proofs";
            /** Proofs */
            proofs: components["schemas"]["ShownProof"][];
        };
        /**
         * TellState
         * @description The design as it stands. The first message is one of these. By the version a page knows that it is old.
         */
        TellState: {
            /** Pieces */
            pieces: components["schemas"]["PieceFrame"][];
            /** Gone */
            gone: string[];
            /** Clearances */
            clearances?: components["schemas"]["Near"][];
            /** Gaps */
            gaps?: components["schemas"]["ShownGap"][];
            /** Stones */
            stones?: components["schemas"]["ShownStones"][];
            /** Bores */
            bores?: components["schemas"]["ShownBore"][];
            /** Proofs */
            proofs?: components["schemas"]["ShownProof"][];
            map?: components["schemas"]["ShownMap"] | null;
            /** Curves */
            curves?: components["schemas"]["ShownCurve"][];
            weights?: components["schemas"]["Weights"] | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "state";
            /** Seq */
            seq: number;
            state: components["schemas"]["DesignState"];
            /** Version */
            version: number;
        };
        /** TellWeights */
        TellWeights: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "weights";
            /** Seq */
            seq: number;
            weights: components["schemas"]["Weights"] | null;
        };
        /**
         * TellWorking
         * @description Something is still being worked on, and for so many seconds.
         */
        TellWorking: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "working";
            /** Seq */
            seq: number;
            /** Seconds */
            seconds: number;
            /** Stoppable */
            stoppable: boolean;
        };
        /**
         * Weights
         * @description How far each row of a piece's surface takes part in a change that reaches.
         */
        Weights: {
            /** Piece */
            piece: string;
            /**
             * Rows
             * Format: float32s
             */
            rows: Float32Array;
        };
        LiveTold: components["schemas"]["TellState"] | components["schemas"]["TellFrame"] | components["schemas"]["TellFound"] | components["schemas"]["TellWeights"] | components["schemas"]["TellCurves"] | components["schemas"]["TellGaps"] | components["schemas"]["TellMap"] | components["schemas"]["TellBodies"] | components["schemas"]["TellProofs"] | components["schemas"]["TellWorking"] | components["schemas"]["TellProblem"];
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    list_designs: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignCard"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    create_design: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewDesign"];
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    list_bin: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignCard"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    put_in_bin: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    put_back: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    download_archive: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/zip": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    open_archive: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_design: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description It is as it was. */
            304: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    delete_design: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    change_design: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DesignChange"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    copy_design: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewName"];
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_picture: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/png": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    earlier_steps: {
        parameters: {
            query: {
                before: number;
                most?: number;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StepState"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    thin_steps: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ThinTo"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    apply_command: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CommandAt"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    preview_command: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CommandAt"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PreviewState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    undo: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    redo: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AtRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    go_to_step: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StepAt"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    add_picture: {
        parameters: {
            query: {
                revision: number;
                /** @description the file's name, with its ending */
                name: string;
                view?: "front" | "back" | "right" | "left" | "top" | "bottom";
                width?: number;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    add_component: {
        parameters: {
            query: {
                revision: number;
                /** @description the file's name, with its ending */
                name: string;
                unit?: ("mm" | "cm" | "m" | "in") | null;
                clearance?: number;
                scan?: boolean;
                /** @description a name to ask for its progress by, hexadecimal */
                watch?: string;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_reading: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                watch: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobReport"] | null;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    stop_reading: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                watch: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobReport"] | null;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    scan_piece: {
        parameters: {
            query: {
                revision: number;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ScanRequest"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    put_up_stand: {
        parameters: {
            query: {
                revision: number;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StandRequest"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    bake_piece: {
        parameters: {
            query: {
                revision: number;
                /** @description the step at which it is taken; now without */
                step?: number | null;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    clean_component: {
        parameters: {
            query: {
                revision: number;
                /** @description mm of the longest rim that is closed */
                holes?: number;
            };
            header?: never;
            path: {
                design_id: string;
                reference: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_reference_picture: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                digest: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/png": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_mesh: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                digest: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/msgpack": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_flow: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                digest: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_sharp_lines: {
        parameters: {
            query?: {
                degrees?: number;
            };
            header?: never;
            path: {
                digest: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    examine_cage_file: {
        parameters: {
            query: {
                name: string;
                unit?: "mm" | "cm" | "m" | "in";
                /** @description mm within which vertices become one */
                merge?: number;
                /** @description edges round a hole that is filled */
                holes?: number;
                /** @description pair triangles to quads */
                pair?: boolean;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CageFileState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    keep_solid_file: {
        parameters: {
            query: {
                name: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SolidFileState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    examine_curve_file: {
        parameters: {
            query: {
                name: string;
                /** @description of a DXF that does not say its own */
                unit?: "mm" | "cm" | "m" | "in";
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CurveFileState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    download_curves: {
        parameters: {
            query?: {
                kind?: "svg" | "dxf" | "step";
                /** @description of an SVG: the plane that it is seen in */
                view?: "top" | "front" | "right";
                /** @description one of them only; else all that are shown */
                piece?: string | null;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_cage: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CageArrays"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_surface: {
        parameters: {
            query?: {
                level?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SurfaceArrays"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_curves: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskedCurves"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CurveState"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_number: {
        parameters: {
            query: {
                text: string;
                asked?: "length" | "angle" | "share" | "number";
                unit?: "mm" | "cm" | "in";
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NumberState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    beginnings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Begin"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Beginnings"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    pick: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Pick"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Picked"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_solid: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobReport"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_finder: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FinderAsk"];
            };
        };
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeyedJob"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    list_materials: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MaterialState"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_found: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FoundState"] | null;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_job: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                job_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobReport"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    cancel_job: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                job_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobReport"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_certificate: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CertificateState"] | null;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    certificate_as_page: {
        parameters: {
            query?: {
                /** @description per cent by which the file is larger, for shrinkage */
                larger?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html; charset=utf-8": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    download_step: {
        parameters: {
            query?: {
                /** @description hand over a body that is incomplete or not sound, as far as it goes; its name says so */
                anyway?: boolean;
                /** @description per cent by which the file is larger, for shrinkage */
                larger?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "model/step": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    download_cage: {
        parameters: {
            query?: {
                /** @description USD as text or binary, PLY or OBJ */
                kind?: "obj" | "ply" | "usda" | "usdc";
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_triangles_certificate: {
        parameters: {
            query?: {
                /** @description chord tolerance in mm */
                tolerance?: number;
                /** @description degrees by which the surface may turn in a facet */
                angle?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobReport"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_triangles: {
        parameters: {
            query?: {
                /** @description chord tolerance in mm */
                tolerance?: number;
                /** @description degrees by which the surface may turn in a facet */
                angle?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JobReport"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    download_surface: {
        parameters: {
            query?: {
                kind?: "stl" | "3mf" | "obj" | "ply" | "glb";
                /** @description chord tolerance in mm */
                tolerance?: number;
                /** @description degrees by which the surface may turn in a facet */
                angle?: number;
                /** @description hand over a body that is incomplete or not sound, as far as it goes; its name says so */
                anyway?: boolean;
                /** @description per cent by which the file is larger, for shrinkage */
                larger?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_surface: {
        parameters: {
            query?: {
                kind?: "stl" | "3mf" | "obj" | "ply" | "glb";
                /** @description chord tolerance in mm */
                tolerance?: number;
                /** @description degrees by which the surface may turn in a facet */
                angle?: number;
                /** @description hand over a body that is incomplete or not sound, as far as it goes; its name says so */
                anyway?: boolean;
                /** @description per cent by which the file is larger, for shrinkage */
                larger?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeyedJob"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    fetch_file: {
        parameters: {
            query?: {
                kind?: ("stl" | "3mf" | "obj" | "ply" | "glb") | "step";
                name?: string;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    download_outline: {
        parameters: {
            query?: {
                view?: "front" | "right" | "top";
                /** @description chord tolerance in mm */
                tolerance?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/svg+xml": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    surface_facts: {
        parameters: {
            query?: {
                /** @description chord tolerance in mm */
                tolerance?: number;
                /** @description degrees by which the surface may turn in a facet */
                angle?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SurfaceFacts"] | null;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_solids_file: {
        parameters: {
            query?: {
                kind?: "step" | "3mf";
                /** @description chord tolerance in mm */
                tolerance?: number;
                /** @description degrees by which the surface may turn in a facet */
                angle?: number;
                /** @description hand over a body that is incomplete or not sound, as far as it goes; its name says so */
                anyway?: boolean;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeyedJob"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    hand_over: {
        parameters: {
            query?: {
                /** @description chord tolerance in mm */
                tolerance?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MachineAsk"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BenchAnswer"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_layer: {
        parameters: {
            query: {
                index: number;
                /** @description chord tolerance in mm */
                tolerance?: number;
                /** @description thickness of a layer in mm */
                layer?: number;
                of?: string;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/svg+xml": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    list_processes: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProcessState"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    prove_casting: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CastAsk"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CastAnswer"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_bill: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BillState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    download_bill: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_sheet: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SheetAsk"];
            };
        };
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeyedJob"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    fetch_sheet: {
        parameters: {
            query?: {
                kind?: "html" | "pdf";
                name?: string;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_proposal: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ProposalAsk"];
            };
        };
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeyedJob"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    fetch_proposal: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Proposed"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    list_pictures: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TruePicture"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    begin_picture: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PictureAsk"];
            };
        };
        responses: {
            /** @description Successful Response */
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeyedJob"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    stop_at_this: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    let_rest: {
        parameters: {
            query?: {
                on?: boolean;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    fetch_picture: {
        parameters: {
            query?: {
                passed?: number;
                moving?: boolean;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    remove_picture: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                design_id: string;
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    add_stamp: {
        parameters: {
            query: {
                revision: number;
                /** @description the file's name, with its ending */
                name: string;
                tiles?: boolean;
            };
            header?: never;
            path: {
                design_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DesignState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    height_map: {
        parameters: {
            query?: {
                side?: "top" | "bottom" | "front" | "back" | "left" | "right";
                pixels?: number;
            };
            header?: never;
            path: {
                design_id: string;
                piece_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "*/*": string;
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    get_keeping: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeepingState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    clear_made: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeepingState"];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    list_print_processes: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PrintProcessState"][];
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
    health: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        [key: string]: string;
                    };
                };
            };
            /** @description The request cannot be read. */
            400: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The key is missing. */
            401: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It comes from another place, or designs are only read here. */
            403: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is no such design, piece, asset, job or file. */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description This is not done here. */
            405: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The rest of the request did not arrive. */
            408: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The design has moved on, or the work was stopped. */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request does not say how long it is. */
            411: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The request is too large. */
            413: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description It is refused: the detail says what is wrong, and the place where. */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description Something nobody foresaw; nothing was changed. */
            500: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description There is too much to do at once, another program holds the designs, or they are damaged. */
            503: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
            /** @description The disk is full; nothing was changed. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["Problem"];
                };
            };
        };
    };
}
