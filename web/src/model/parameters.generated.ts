/** Made by `make types` from the service's description; not to be changed by hand. */
export const liveVersion = 8;

export const parameters = {
  "add-box": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
  },
  "add-capsule": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    diameter: {"label":"Diameter","unit":"mm","step":1,"above":0,"max":1000000},
    length: {"label":"Length","unit":"mm","step":1,"above":0,"max":1000000},
  },
  "add-cone": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    bottom: {"label":"Bottom diameter","unit":"mm","step":1,"above":0,"max":1000000},
    top: {"label":"Top diameter","unit":"mm","step":1,"initial":0,"min":0,"max":1000000},
    height: {"label":"Height","unit":"mm","step":1,"above":0,"max":1000000},
    caps: {"label":"Caps","initial":"both","words":[["both","both"],["bottom","bottom"],["top","top"],["open","none"]]},
    inset: {"label":"Cap inset","unit":"%","step":5,"initial":30,"above":0,"below":100},
    rim: {"label":"Rim sharpness","unit":"","step":0.5,"initial":0,"min":0,"max":10},
    tip: {"label":"Tip sharpness","unit":"","step":0.5,"initial":0,"min":0,"max":10},
  },
  "add-curve": {
    shape: {"label":"Shape","initial":"circle","words":[["circle","circle"],["ellipse","ellipse"],["arc","arc"],["rounded-rectangle","rounded rectangle"],["polygon","polygon"],["helix","helix"],["wave","wave round an axis"]]},
    diameter: {"label":"Diameter","unit":"mm","step":1,"initial":40,"above":0,"max":1000000},
    width: {"label":"Width","unit":"mm","step":1,"initial":60,"above":0,"max":1000000},
    depth: {"label":"Depth","unit":"mm","step":1,"initial":30,"above":0,"max":1000000},
    radius: {"label":"Corners","unit":"mm","step":0.5,"initial":5,"above":0,"max":1000000},
    degrees: {"label":"Angle","unit":"°","step":5,"initial":180,"above":0,"below":360},
    count: {"label":"Points","unit":"","step":1,"initial":8,"min":3,"max":200,"whole":true},
    pitch: {"label":"Pitch","unit":"mm","step":0.5,"initial":8,"min":-1000000,"max":1000000},
    turns: {"label":"Turns","unit":"","step":0.5,"initial":4,"above":0,"max":200},
    waves: {"label":"Waves","unit":"","step":1,"initial":8,"min":1,"max":128,"whole":true},
    out: {"label":"Out and back","unit":"mm","step":0.5,"initial":2,"min":-1000000,"max":1000000},
    along: {"label":"Up and down","unit":"mm","step":0.5,"initial":4,"min":-1000000,"max":1000000},
    stands: {"label":"About","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
  },
  "add-cylinder": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    diameter: {"label":"Diameter","unit":"mm","step":1,"above":0,"max":1000000},
    height: {"label":"Height","unit":"mm","step":1,"above":0,"max":1000000},
    caps: {"label":"Caps","initial":"both","words":[["both","both"],["bottom","bottom"],["top","top"],["open","none"]]},
    inset: {"label":"Cap inset","unit":"%","step":5,"initial":30,"above":0,"below":100},
    rim: {"label":"Rim sharpness","unit":"","step":0.5,"initial":0,"min":0,"max":10},
  },
  "add-loop": {
    span: {"label":"Runs","initial":"ring","words":[["ring","all round"],["picked","from picked to picked"]]},
    ends: {"label":"Ends in","initial":"ngon","words":[["ngon","an n-gon"],["quads","quads"]]},
    form: {"label":"Surface","initial":"tight","words":[["tight","pull tight"],["hold","hold form"]]},
  },
  "add-plane": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
  },
  "add-poled-sphere": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    diameter: {"label":"Diameter","unit":"mm","step":1,"above":0,"max":1000000},
  },
  "add-ring": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    bore: {"label":"Bore","unit":"mm","step":0.1,"initial":17.3,"above":0,"max":1000000,"help":"or a size: US 7, ISO 54, UK N, JP 14"},
    width: {"label":"Width","unit":"mm","step":0.25,"initial":4,"above":0,"max":1000000},
    thickness: {"label":"Thickness","unit":"mm","step":0.1,"initial":1.8,"above":0,"max":1000000},
    profile: {"label":"Profile","initial":"D","words":[["flat","flat"],["court","court: domed inside and out"],["D","D: flat inside, domed outside"],["comfort","comfort: domed inside, flat outside"],["knife","knife edge"],["wire","round wire"]]},
    around: {"label":"Faces around","unit":"","step":2,"initial":16,"min":1,"max":10000,"whole":true},
    low_width: {"label":"Width below","unit":"mm","step":0.25,"above":0,"max":1000000},
    low_thickness: {"label":"Thickness below","unit":"mm","step":0.1,"above":0,"max":1000000},
    shoulder: {"label":"Shoulder","unit":"","step":0.1,"initial":1,"min":0.2,"max":5},
  },
  "add-sphere": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    diameter: {"label":"Diameter","unit":"mm","step":1,"above":0,"max":1000000},
    count: {"label":"Faces across a patch","unit":"","step":1,"initial":2,"min":1,"max":10000,"whole":true},
  },
  "add-torus": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    ring: {"label":"Ring diameter","unit":"mm","step":1,"above":0,"max":1000000},
    section: {"label":"Section diameter","unit":"mm","step":1,"above":0,"max":1000000},
  },
  "add-tube": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    outer: {"label":"Outer diameter","unit":"mm","step":1,"above":0,"max":1000000},
    inner: {"label":"Inner diameter","unit":"mm","step":1,"above":0,"max":1000000},
    height: {"label":"Height","unit":"mm","step":1,"above":0,"max":1000000},
    rim: {"label":"Rim sharpness","unit":"","step":0.5,"initial":0,"min":0,"max":10},
  },
  "attract": {
    distance: {"label":"Distance before it","unit":"mm","step":0.5,"initial":0,"min":-1000000,"max":1000000},
    share: {"label":"Share of the way","unit":"%","step":10,"initial":100,"min":0,"max":100},
  },
  "bend": {
    degrees: {"label":"By","unit":"°","step":5,"min":-3600,"max":3600},
    held: {"label":"Held","initial":"middle","words":[["start","at the lower end"],["middle","in the middle"],["end","at the upper end"]]},
  },
  "bridge": {
    segments: {"label":"Segments","unit":"","step":1,"initial":1,"min":1,"max":64,"whole":true},
    shift: {"label":"Shift","unit":"","step":1,"initial":0,"min":-1000,"max":1000,"whole":true},
    strength: {"label":"Tangents","unit":"%","step":10,"initial":0,"min":0,"max":1000},
    add_loops: {"label":"Missing loops","initial":"no","words":[["no","are refused"],["yes","are added"]]},
  },
  "chamfer": {
    distance: {"label":"Distance","unit":"mm","step":0.5,"above":0,"max":1000000,"help":"Measured on the faces beside the edge."},
    segments: {"label":"Faces across","unit":"","step":1,"initial":1,"min":1,"max":16,"whole":true},
    profile: {"label":"Section","initial":"flat","words":[["flat","flat"],["round","round"]]},
    quads: {"label":"Corners and ends","initial":"yes","words":[["yes","of quads"],["no","as they fall"]]},
    keep_creases: {"label":"Their crease","initial":"no","words":[["no","goes"],["yes","stays on both sides"]]},
  },
  "change-relief": {
    share: {"label":"By","unit":"%","step":10,"initial":50,"min":0,"max":100},
  },
  "change-stone": {
    stone: {"label":"Stone","unit":"","step":1,"initial":1,"min":1,"max":1000,"whole":true},
    turn: {"label":"Turned by","unit":"°","step":5,"initial":0,"min":-360,"max":360},
    sink: {"label":"Sunk further by","unit":"mm","step":0.05,"initial":0,"min":-1000000,"max":1000000},
    size: {"label":"Times as large","unit":"","step":0.05,"initial":1,"min":0.2,"max":5},
    gone: {"label":"It","initial":"no","words":[["no","stays"],["yes","is taken away"]]},
  },
  "circle": {
    share: {"label":"Share of the way","unit":"%","step":10,"initial":100,"min":0,"max":100},
    radius: {"label":"Radius","unit":"mm","step":0.5,"above":0,"max":1000000},
    even: {"label":"Angles","initial":"yes","words":[["yes","even"],["no","as they are"]]},
  },
  "collapse": {
    rings: {"label":"Takes","initial":"no","words":[["no","the picked"],["yes","their whole rings"]]},
  },
  "corner": {
    sharpness: {"label":"Sharpness","unit":"","step":0.5,"min":0,"max":10},
  },
  "cover-faces": {
    level: {"label":"Level","unit":"","step":1,"initial":4,"min":1,"max":7,"whole":true},
    height: {"label":"Height","unit":"mm","step":0.1,"initial":0.5,"min":-1000,"max":1000},
    size: {"label":"Tile","unit":"mm","step":0.5,"initial":5,"min":0,"max":10000},
    way: {"label":"Laid","initial":"flat","words":[["flat","flat"],["round","round an axis"]]},
    turned: {"label":"Turned","unit":"°","step":15,"initial":0,"min":-360,"max":360},
    soft: {"label":"Soft edge","unit":"mm","step":0.2,"initial":0.5,"min":0,"max":1000},
  },
  "crease": {
    sharpness: {"label":"Sharpness","unit":"","step":0.5,"min":0,"max":10},
  },
  "crease-like": {
    by: {"label":"By","initial":"lines","words":[["lines","its sharp lines"],["scan","its radius there"]]},
    angle: {"label":"Sharp from","unit":"°","step":5,"initial":30,"above":0,"max":180},
    within: {"label":"Within","unit":"mm","step":0.1,"initial":0.5,"above":0,"max":1000000},
    sharpness: {"label":"Sharpness","unit":"","step":0.5,"initial":10,"min":0,"max":10},
  },
  "detach": {
    as_piece: {"label":"They become","initial":"no","words":[["yes","a piece of their own"],["no","a part of this piece"]]},
  },
  "draw-curve": {
    way: {"label":"It runs","initial":"through","words":[["through","through the points"],["control","towards the points"],["straight","straight between them"]]},
  },
  "draw-freehand": {
    tolerance: {"label":"Within","unit":"mm","step":0.1,"initial":0.5,"above":0,"max":1000},
  },
  "draw-wire": {
    diameter: {"label":"Diameter","unit":"mm","step":0.1,"initial":2,"above":0,"max":1000000},
    around: {"label":"Faces around","unit":"","step":1,"initial":8,"min":3,"max":64,"whole":true},
    each: {"label":"Faces a leg","unit":"","step":1,"initial":3,"min":1,"max":16,"whole":true},
    ends: {"label":"Ends","initial":"flat","words":[["flat","flat"],["round","round"],["open","open"]]},
  },
  "extend-curve": {
    by: {"label":"Longer by","unit":"mm","step":1,"initial":5,"min":-1000000,"max":1000000},
    end: {"label":"At its","initial":"last","words":[["last","end"],["first","beginning"]]},
    onwards: {"label":"It goes on","initial":"straight","words":[["straight","straight"],["bending","bending"]]},
  },
  "extrude": {
    segments: {"label":"Segments","unit":"","step":1,"initial":1,"min":1,"max":64,"whole":true},
    taper: {"label":"Taper","unit":"%","step":5,"initial":100,"min":0,"max":10000},
    degrees: {"label":"Turn","unit":"°","step":5,"initial":0,"min":-1000000000,"max":1000000000},
    distance: {"label":"Distance","unit":"mm","step":1,"min":-1000000,"max":1000000},
    way: {"label":"Faces","initial":"mean","words":[["even","with an even wall"],["mean","by their mean normal"],["each","each by itself"],["point","away from the pivot"]]},
  },
  "extrude-along": {
    segments: {"label":"Segments","unit":"","step":1,"initial":1,"min":1,"max":64,"whole":true},
    taper: {"label":"Taper","unit":"%","step":5,"initial":100,"min":0,"max":10000},
    degrees: {"label":"Turn","unit":"°","step":5,"initial":0,"min":-1000000000,"max":1000000000},
  },
  "fill": {
    way: {"label":"With","initial":"quads","words":[["quads","a grid of quads"],["rings","rings that lead on"],["face","a single face"]]},
    rings: {"label":"Rings","unit":"","step":1,"initial":1,"min":1,"max":32,"whole":true},
    turned: {"label":"Turn grid by","unit":"","step":1,"initial":0,"min":-1000,"max":1000,"whole":true},
  },
  "fill-drawn": {
    smooth: {"label":"Joined","initial":"yes","words":[["yes","smoothly"],["no","by straight lines"]]},
    around: {"label":"Faces around","unit":"","step":1,"min":1,"max":10000,"whole":true},
    rings: {"label":"Rings","unit":"","step":1,"initial":1,"min":1,"max":10000,"whole":true},
  },
  "fill-outline": {
    stands: {"label":"Stands along","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
    size_of: {"label":"Sizes of","initial":"cage","words":[["surface","smooth surface"],["cage","control cage"]]},
    keep: {"label":"Keep","initial":"whole","words":[["whole","the whole"],["x","x side of a mirror"],["y","y side of a mirror"],["z","z side of a mirror"]]},
    half: {"label":"Sizes hold","initial":"mirrored","words":[["mirrored","once mirrored"],["alone","for the open half"]]},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    around: {"label":"Faces around","unit":"","step":1,"min":1,"max":10000,"whole":true},
    rings: {"label":"Rings","unit":"","step":1,"initial":1,"min":1,"max":10000,"whole":true},
  },
  "finish-piece": {
    finish: {"label":"Of","initial":"clay","words":[["clay","Clay, in its own colour"],["glazed","Glazed clay, in its own colour"],["plastic","Printed plastic, white"],["rubber","Rubber, dark"],["glass","Glass, clear"],["resin","Resin, amber"],["gold","Gold, polished"],["gold-brushed","Gold, brushed"],["rose-gold","Rose gold, polished"],["silver","Silver, polished"],["silver-brushed","Silver, brushed"],["copper","Copper, polished"],["steel","Chromed, polished"],["aluminium","Aluminium, blasted"]]},
  },
  "flatten": {
    share: {"label":"Share of the way","unit":"%","step":10,"initial":100,"min":0,"max":100},
  },
  "inset": {
    width: {"label":"Width","unit":"mm","step":0.5,"min":0,"max":1000000},
    depth: {"label":"Depth","unit":"mm","step":0.5,"initial":0,"min":-1000000,"max":1000000},
    apart: {"label":"Faces","initial":"no","words":[["no","as one region"],["yes","each by itself"]]},
  },
  "knife": {
    near: {"label":"Vertices within","unit":"mm","step":0.1,"initial":0,"min":0,"max":1000000},
    keep: {"label":"Keeps","initial":"both","words":[["both","both sides"],["positive","one side"],["negative","the other side"]]},
    leave: {"label":"Leaves it","initial":"joined","words":[["joined","joined"],["open","open"],["filled","filled"]]},
    cap: {"label":"Fills with","initial":"face","words":[["face","one face"],["quads","quads"]]},
    sides: {"label":"Mirrored","initial":"through","words":[["through","through both sides"],["each","each side by itself"]]},
    sharpness: {"label":"Sharpness","unit":"","step":1,"initial":0,"min":0,"max":10},
  },
  "lay-by-region": {
    radius: {"label":"Within","unit":"mm","step":1,"initial":5,"above":0,"max":1000000},
    what: {"label":"It is","initial":"plane","words":[["plane","a flat side"],["axis","a cylinder’s axis"]]},
    axis: {"label":"Laid to","initial":"z","words":[["z","z"],["x","x"],["y","y"]]},
  },
  "lay-stones": {
    material: {"label":"Of","initial":"diamond","words":[["diamond","Diamond"],["sapphire","Sapphire (corundum)"],["ruby","Ruby (corundum)"],["emerald","Emerald (beryl)"],["aquamarine","Aquamarine (beryl)"],["spinel","Spinel"],["garnet","Garnet (almandine)"],["tourmaline","Tourmaline"],["topaz","Topaz"],["peridot","Peridot (olivine)"],["zircon","Zircon"],["moonstone","Moonstone (feldspar)"],["quartz","Quartz: rock crystal, amethyst, citrine"],["opal","Opal"],["turquoise","Turquoise"],["amber","Amber"],["pearl","Pearl"],["glass","Glass"]]},
  },
  "line-up": {
    share: {"label":"Share of the way","unit":"%","step":10,"initial":100,"min":0,"max":100},
    even: {"label":"Distances","initial":"no","words":[["no","as they are"],["yes","even"]]},
  },
  "make-true": {
    value: {"label":"To","unit":"mm","step":1,"min":0,"max":1000000},
  },
  "mirror": {
    way: {"label":"Begin from","initial":"cut","words":[["cut","a whole, cut at the plane"],["follow","a whole, the other side follows"],["open","an open half"],["second","a second piece that follows"]]},
    keep: {"label":"Keep","initial":"positive","words":[["positive","the + side"],["negative","the − side"]]},
    tolerance: {"label":"Drawn in within","unit":"mm","step":0.1,"initial":0.5,"min":0,"max":1000000},
  },
  "move-bore": {
    diameter: {"label":"Bore","unit":"mm","step":0.1,"above":0,"max":1000000,"help":"or a size: US 7, ISO 54, UK N, JP 14"},
  },
  "move-each": {
    distance: {"label":"Distance","unit":"mm","step":0.5,"min":-1000000,"max":1000000},
  },
  "offset-curve": {
    distance: {"label":"Distance","unit":"mm","step":0.5,"initial":2,"min":-1000000,"max":1000000},
  },
  "part-curve": {
    within: {"label":"Within","unit":"mm","step":0.1,"initial":0.1,"above":0,"max":1000},
    keep: {"label":"Keep","initial":"all","words":[["all","all parts"],["longest","the longest"],["first","the first"],["last","the last"]]},
  },
  "relax": {
    rounds: {"label":"Rounds","unit":"","step":1,"initial":5,"min":1,"max":100,"whole":true},
    strength: {"label":"Strength","unit":"%","step":10,"initial":50,"min":0,"max":100},
    hold: {"label":"Surface","initial":"yes","words":[["yes","hold form"],["no","as it falls"]]},
  },
  "relief-in-solid": {
    levels: {"label":"Levels in it","unit":"","step":1,"initial":1,"min":0,"max":3,"whole":true},
  },
  "remove": {
    loops: {"label":"Takes","initial":"no","words":[["no","the picked"],["yes","their whole loops"]]},
    form: {"label":"Surface","initial":"let","words":[["let","as it falls"],["hold","hold form"]]},
  },
  "repeat-around": {
    way: {"label":"Begin from","initial":"open","words":[["open","one sector"],["follow","a whole, all follow one"]]},
    sectors: {"label":"Sectors","unit":"","step":1,"min":2,"max":128,"whole":true},
    mirrored: {"label":"Each sector","initial":"no","words":[["no","plain"],["yes","mirrored in itself"]]},
    tolerance: {"label":"Joined within","unit":"mm","step":0.1,"initial":0.5,"min":0,"max":1000000},
  },
  "resample": {
    u: {"label":"Faces","unit":"","step":1,"min":1,"max":200,"whole":true},
    v: {"label":"by","unit":"","step":1,"min":1,"max":200,"whole":true},
    density: {"label":"Rows","initial":"even","words":[["even","evenly"],["curvature","closer where it bends"]]},
  },
  "resample-curve": {
    count: {"label":"Points","unit":"","step":1,"initial":8,"min":2,"max":400,"whole":true},
    degree: {"label":"Degree","initial":"3","words":[["3","3, smooth"],["2","2"],["1","1, straight legs"]]},
  },
  "scale-creases": {
    factor: {"label":"To","unit":"%","step":10,"min":0,"max":1000},
  },
  "sculpt": {
    brush: {"label":"Brush","initial":"draw","words":[["draw","Draw out"],["inflate","Inflate"],["groove","Groove"],["carry","Carry"],["smooth","Smooth"],["pinch","Pinch"],["flatten","Flatten out"],["scrape","Scrape"],["twist","Whirl"],["mask","Mask"],["erase","Wipe off"]]},
    level: {"label":"Level","unit":"","step":1,"initial":4,"min":1,"max":7,"whole":true},
    radius: {"label":"Radius","unit":"mm","step":0.5,"initial":5,"min":0.001,"max":10000},
    height: {"label":"Height","unit":"mm","step":0.1,"initial":0.5,"min":0,"max":1000},
    strength: {"label":"Strength","unit":"%","step":5,"initial":50,"min":0,"max":100},
    degrees: {"label":"Turn","unit":"°","step":5,"initial":45,"min":-360,"max":360},
    opposite: {"label":"Way","initial":"no","words":[["no","as it is"],["yes","its opposite"]]},
    hardness: {"label":"Hardness","unit":"%","step":5,"initial":0,"min":0,"max":99},
    profile: {"label":"Profile","initial":"smooth","words":[["smooth","smooth"],["sharp","sharp"],["round","round"],["flat","flat"],["linear","linear"],["drawn","drawn"]]},
    spacing: {"label":"Spacing","unit":"%","step":5,"initial":20,"min":2,"max":1000},
    steady: {"label":"Steady","unit":"%","step":10,"initial":0,"min":0,"max":98},
    pen: {"label":"Pressure","initial":"strength","words":[["nothing","changes nothing"],["strength","strength"],["radius","radius"],["both","both"]]},
    around: {"label":"Times round","unit":"","step":1,"initial":1,"min":1,"max":128,"whole":true},
    laid: {"label":"Laid","initial":"along","words":[["along","along the stroke"],["each","at each touch"],["once","once, by a drag"]]},
    turned: {"label":"Turned","unit":"°","step":15,"initial":0,"min":-360,"max":360},
  },
  "settle": {
    smoothness: {"label":"Fairness","unit":"%","step":5,"initial":10,"min":0,"max":100},
    border: {"label":"Border","initial":"yes","words":[["yes","goes onto it"],["no","stays"]]},
  },
  "slide": {
    share: {"label":"Share","unit":"%","step":5,"initial":0,"min":-100,"max":100},
    distance: {"label":"Distance","unit":"mm","step":0.5,"min":-1000000,"max":1000000},
  },
  "space-evenly": {
    share: {"label":"Share of the way","unit":"%","step":10,"initial":100,"min":0,"max":100},
  },
  "spin": {
    backwards: {"label":"Goes","initial":"no","words":[["no","on by one"],["yes","back by one"]]},
  },
  "split": {
    along: {"label":"Into","unit":"","step":1,"initial":2,"min":1,"max":64,"whole":true},
    across: {"label":"by","unit":"","step":1,"initial":2,"min":1,"max":64,"whole":true},
  },
  "stamp-from-piece": {
    side: {"label":"Seen from","initial":"top","words":[["top","the top"],["front","the front"],["right","the right"],["left","the left"],["back","the back"],["bottom","below"]]},
  },
  "straighten": {
    share: {"label":"Share of the way","unit":"%","step":10,"initial":100,"min":0,"max":100},
  },
  "taper": {
    factor: {"label":"To","unit":"%","step":5,"min":0,"max":10000},
    held: {"label":"Held","initial":"start","words":[["start","at the lower end"],["end","at the upper end"]]},
  },
  "thicken": {
    distance: {"label":"Thickness","unit":"mm","step":0.25,"above":0,"max":1000000},
    side: {"label":"Second wall","initial":"in","words":[["in","inside"],["out","outside"],["both","half each"]]},
    crease_rims: {"label":"Rims","initial":"yes","words":[["yes","creased"],["no","rounded"]]},
  },
  "trace": {
    weld: {"label":"Welds within","unit":"mm","step":0.1,"initial":1,"min":0,"max":1000000},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    along: {"label":"Quads along","unit":"","step":1,"initial":1,"min":1,"max":60,"whole":true},
    across: {"label":"across","unit":"","step":1,"initial":1,"min":1,"max":60,"whole":true},
  },
  "trace-strip": {
    weld: {"label":"Welds within","unit":"mm","step":0.1,"initial":1,"min":0,"max":1000000},
    mirrored: {"label":"Mirrored","initial":"no","words":[["no","no"],["x","across x"],["y","across y"],["z","across z"]]},
    width: {"label":"Strip's width","unit":"mm","step":1,"initial":10,"above":0,"max":1000000},
  },
  "twist": {
    degrees: {"label":"By","unit":"°","step":5,"min":-3600,"max":3600},
    held: {"label":"Held","initial":"start","words":[["start","at the lower end"],["middle","in the middle"],["end","at the upper end"]]},
  },
  "weld": {
    to: {"label":"Weld","initial":"middle","words":[["close","what lies close"],["middle","all in the middle"],["vertex","all onto the last picked"],["point","all at the pivot"]]},
    tolerance: {"label":"Within","unit":"mm","step":0.1,"initial":0.1,"min":0,"max":1000000},
  },
  "zip": {
    where: {"label":"They meet","initial":"middle","words":[["middle","in the middle"],["first","on the first chain"],["second","on the second chain"]]},
  },
} as const;

/** Kinds of commands that can keep the surface on a scan. */
export const sticking: ReadonlySet<string> = new Set(["add-loop","agree-normals","attract","bend","bridge","chamfer","circle","collapse","corner","crease","crease-like","delete","detach","extrude","extrude-along","fill","flatten","flip","heal","inset","knife","line-up","move","move-along-normal","move-each","name-faces","relax","remove","resample","scale-creases","settle","size","slide","space-evenly","spin","split","straighten","taper","thicken","turn","twist","weld","zip"]);

/** The cuts of stones, and the proportions that each begins with. */
export const cuts = {
  "baguette": {"name":"Baguette","begins":{"width":2,"length":4,"table":65,"crown":35,"pavilion":45,"girdle":4,"steps":2}},
  "cabochon": {"name":"Cabochon","begins":{"width":5,"length":5,"dome":40,"back":0,"girdle":8}},
  "cushion": {"name":"Cushion brilliant","begins":{"width":5,"length":5.5,"table":58,"crown":34.5,"pavilion":40.75,"girdle":3.5,"star":50,"lower":77,"culet":0}},
  "marquise": {"name":"Marquise brilliant","begins":{"width":5,"length":10,"table":57,"crown":34.5,"pavilion":40.75,"girdle":3.5,"star":50,"lower":77,"culet":0}},
  "oval": {"name":"Oval brilliant","begins":{"width":5,"length":7,"table":57,"crown":34.5,"pavilion":40.75,"girdle":3.5,"star":50,"lower":77,"culet":0}},
  "pear": {"name":"Pear brilliant","begins":{"width":5,"length":7,"table":57,"crown":34.5,"pavilion":40.75,"girdle":3.5,"star":50,"lower":77,"culet":0}},
  "pearl": {"name":"Pearl","begins":{"width":5,"drilled":"whole","bore":0.8}},
  "rectangular": {"name":"Rectangular brilliant","begins":{"width":5,"length":5,"table":70,"crown":36,"pavilion":58,"girdle":3.5,"chevrons":3}},
  "rose": {"name":"Rose cut","begins":{"width":5,"dome":40,"girdle":3}},
  "round": {"name":"Round brilliant","begins":{"width":5,"table":57,"crown":34.5,"pavilion":40.75,"girdle":3.5,"star":50,"lower":77,"culet":0}},
  "step": {"name":"Step cut","begins":{"width":5,"length":7,"table":60,"crown":40,"pavilion":52,"girdle":3.5,"corner":15,"steps":3}},
  "trillion": {"name":"Trillion brilliant","begins":{"width":5,"table":60,"crown":34.5,"pavilion":40,"girdle":3.5,"star":70,"lower":70,"culet":0}},
} as const;
