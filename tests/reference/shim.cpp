// A thin C face on Debian's libosd (package libosd-dev), the independent reference for refinement.
#include <opensubdiv/far/primvarRefiner.h>
#include <opensubdiv/far/stencilTable.h>
#include <opensubdiv/far/stencilTableFactory.h>
#include <opensubdiv/far/topologyDescriptor.h>
#include <opensubdiv/far/topologyRefiner.h>

#include <chrono>
#include <cstring>
#include <memory>
#include <vector>

using namespace OpenSubdiv;

struct Point {
    double x[3];
    void Clear(void* = nullptr) { x[0] = x[1] = x[2] = 0; }
    void AddWithWeight(Point const& p, double w) { for (int i = 0; i < 3; ++i) x[i] += w * p.x[i]; }
};

struct Cage {
    int vertices, faces, *face_sizes, *face_verts, creases, *crease_pairs;
    float* crease_sharpness;
    int corners, *corner_verts;
    float* corner_sharpness;
};

static Far::TopologyRefiner* make(Cage const* c, int level) {
    Far::TopologyDescriptor d;
    d.numVertices = c->vertices; d.numFaces = c->faces;
    d.numVertsPerFace = c->face_sizes; d.vertIndicesPerFace = c->face_verts;
    d.numCreases = c->creases; d.creaseVertexIndexPairs = c->crease_pairs; d.creaseWeights = c->crease_sharpness;
    d.numCorners = c->corners; d.cornerVertexIndices = c->corner_verts; d.cornerWeights = c->corner_sharpness;
    Sdc::Options o;
    o.SetVtxBoundaryInterpolation(Sdc::Options::VTX_BOUNDARY_EDGE_AND_CORNER);
    typedef Far::TopologyRefinerFactory<Far::TopologyDescriptor> Factory;
    Far::TopologyRefiner* r = Factory::Create(d, Factory::Options(Sdc::SCHEME_CATMARK, o));
    if (r) {
        Far::TopologyRefiner::UniformOptions u(level);
        u.fullTopologyInLastLevel = true;
        r->RefineUniform(u);
    }
    return r;
}

static double since(std::chrono::steady_clock::time_point t) {
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - t).count();
}

extern "C" {

// Number of vertices at the level, or -1.
int osd_count(Cage const* c, int level) {
    std::unique_ptr<Far::TopologyRefiner> r(make(c, level));
    return r ? r->GetLevel(level).GetNumVertices() : -1;
}

// Refined points, limit points and two limit tangents (n, 3) each; child_of_vertex (vertices) follows the cage's own.
int osd_surface(Cage const* c, int level, double const* points, double* refined, double* limit, double* du, double* dv,
                int* child_of_vertex) {
    std::unique_ptr<Far::TopologyRefiner> r(make(c, level));
    if (!r) return -1;
    std::vector<Point> from(c->vertices), to;
    std::memcpy(from.data(), points, sizeof(Point) * from.size());
    for (int v = 0; v < c->vertices; ++v) child_of_vertex[v] = v;
    Far::PrimvarRefinerReal<double> p(*r);
    for (int l = 1; l <= level; ++l) {
        to.assign(r->GetLevel(l).GetNumVertices(), Point());
        for (Point& q : to) q.Clear();
        Point *source = from.data(), *target = to.data();
        p.Interpolate(l, source, target);
        from.swap(to);
        for (int v = 0; v < c->vertices; ++v)
            child_of_vertex[v] = r->GetLevel(l - 1).GetVertexChildVertex(child_of_vertex[v]);
    }
    std::memcpy(refined, from.data(), sizeof(Point) * from.size());
    Point *source = from.data(), *at = (Point*)limit, *u = (Point*)du, *v = (Point*)dv;
    p.Limit(source, at, u, v);
    return (int)from.size();
}

// Seconds to refine the topology and build one stencil table for the level, and to apply it once (best of repeats).
int osd_time(Cage const* c, int level, double const* points, int repeats, double* build, double* apply) {
    *build = *apply = 1e9;
    for (int i = 0; i < repeats; ++i) {
        auto t = std::chrono::steady_clock::now();
        std::unique_ptr<Far::TopologyRefiner> r(make(c, level));
        if (!r) return -1;
        Far::StencilTableFactoryReal<double>::Options o;
        o.generateIntermediateLevels = false;
        o.generateOffsets = true;
        std::unique_ptr<Far::StencilTableReal<double> const> s(Far::StencilTableFactoryReal<double>::Create(*r, o));
        *build = std::min(*build, since(t));
        std::vector<Point> from(c->vertices), to(s->GetNumStencils());
        std::memcpy(from.data(), points, sizeof(Point) * from.size());
        t = std::chrono::steady_clock::now();
        s->UpdateValues(from.data(), to.data());
        *apply = std::min(*apply, since(t));
    }
    return 0;
}

}
