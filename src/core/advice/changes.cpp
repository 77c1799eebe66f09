#include "core/advice/changes.h"

#include "core/light/metering.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// What the titles of remedies say by themselves.
enum class Field {
    Light,
    Nd,
    Iris,
    Shutter,
    Rate,
    Rating,
    Base,
    Profile,
    Mode,
    Lens,
    Focal,
    Power,
    White,
    Gels
};

struct Named {
    RemedyId remedy;
    std::initializer_list<Field> fields;
};

const Named kNamed[] = {{RemedyId::SetNd, {Field::Nd}},
                        {RemedyId::SwapNd, {Field::Nd}},
                        {RemedyId::RemoveNd, {Field::Nd}},
                        {RemedyId::SetIris, {Field::Iris}},
                        {RemedyId::Rerate, {Field::Rating}},
                        {RemedyId::SetRating, {Field::Rating}},
                        {RemedyId::SetBase, {Field::Base}},
                        {RemedyId::SetShutter, {Field::Shutter}},
                        {RemedyId::SetShutterPaid, {Field::Shutter, Field::Light}},
                        {RemedyId::SetRate, {Field::Rate}},
                        {RemedyId::SetRateShutter, {Field::Rate, Field::Shutter}},
                        {RemedyId::SetMode, {Field::Mode, Field::Rate}},
                        {RemedyId::DayMode, {Field::Mode}},
                        {RemedyId::SetProfile, {Field::Profile}},
                        {RemedyId::SetPower, {Field::Power}},
                        {RemedyId::DayExternal, {Field::Power}},
                        {RemedyId::SetLens, {Field::Lens, Field::Focal}},
                        {RemedyId::SetFocal, {Field::Focal}},
                        {RemedyId::ChangeLight, {Field::Light}},
                        {RemedyId::MoveLight, {Field::Light}},
                        {RemedyId::SetWhite, {Field::White}},
                        {RemedyId::WhiteBetween, {Field::White}},
                        {RemedyId::WhiteAs, {Field::White}},
                        {RemedyId::GelLamp, {Field::Gels}}};

bool names(RemedyId remedy, Field field) {
    for (const auto& named : kNamed)
        if (named.remedy == remedy)
            return std::find(named.fields.begin(), named.fields.end(), field) != named.fields.end();
    return false;
}

std::string stackText(const Kit& kit, const Camera& camera, const std::vector<std::string>& ids) {
    std::string text;
    for (const auto& id : ids)
        for (const auto& filter : filtersFor(kit, camera))
            if (filter.id == id)
                text += (text.empty() ? "" : " + ") + filter.name;
    return text;
}

// By how much every patch of the scene was lit more, when it was the same for all.
std::optional<Stops> relit(const Shoot& shoot, const Scene& after) {
    const auto* before = findScene(shoot, after.id);
    if (!before || before->patches.size() != after.patches.size() || after.patches.empty())
        return std::nullopt;
    std::optional<Stops> by;
    for (std::size_t i = 0; i < after.patches.size(); ++i) {
        const auto was =
            luminanceOf(before->patches[i].reading, before->patches[i].reflectance, shoot.meter);
        const auto now =
            luminanceOf(after.patches[i].reading, after.patches[i].reflectance, shoot.meter);
        const Stops moved = stopsBetween(now, was);
        if (by && std::abs((moved - *by).value()) > 0.01)
            return std::nullopt;
        by = moved;
    }
    return std::abs(by->value()) > 0.01 ? by : std::nullopt;
}

template<class Item>
std::string nameOr(const Item* item, const std::string& id) {
    return item ? item->name : id;
}

class Teller {
public:
    Teller(const Shoot& shoot, const Setup& before, const Setup& after, RemedyId remedy)
        : m_shoot(shoot)
        , m_before(before)
        , m_after(after)
        , m_remedy(remedy) {}

    [[nodiscard]] ReasonList all(const std::optional<Scene>& scene) {
        if (scene)
            if (const auto by = relit(m_shoot, *scene))
                tell(Field::Light, "also-light", {{"by", *by}});
        const auto* camera = findCamera(m_shoot.kit, m_after.camera);
        if (m_after.filters != m_before.filters && camera)
            add(Field::Nd,
                filterChange(m_shoot.kit, *camera, m_before.filters, m_after.filters).told());
        if (m_after.iris != m_before.iris)
            tell(Field::Iris, "also-iris", {{"iris", m_after.iris}});
        if (m_after.shutter != m_before.shutter)
            tell(Field::Shutter, "also-shutter", {{"shutter", m_after.shutter}});
        if (m_after.rate != m_before.rate)
            tell(Field::Rate, "also-rate", {{"rate", m_after.rate}});
        if (m_after.base != m_before.base)
            tell(Field::Base, "also-base", {{"ei", m_after.base}});
        if (m_after.rating != m_before.rating)
            tell(Field::Rating, "also-rating", {{"ei", m_after.rating}});
        if (m_after.profile != m_before.profile)
            tell(Field::Profile, "also-profile",
                 {{"profile", nameOr(findProfile(m_shoot.kit, m_after.profile), m_after.profile)}});
        if (m_after.mode != m_before.mode && camera)
            tell(Field::Mode, "also-mode",
                 {{"mode", nameOr(findMode(*camera, m_after.mode), m_after.mode)}});
        if (m_after.lens != m_before.lens)
            tell(Field::Lens, "also-lens",
                 {{"lens", nameOr(findLens(m_shoot.kit, m_after.lens), m_after.lens)}});
        if (m_after.focal != m_before.focal && m_after.focal.value() > 0)
            tell(Field::Focal, "also-focal", {{"focal", m_after.focal}});
        if (camera && (m_after.white != m_before.white || m_after.tint != m_before.tint))
            tell(Field::White, "also-white",
                 {{"white", print(camera->white, WhiteSetting{m_after.white, m_after.tint})}});
        if (m_after.externalPower && !m_before.externalPower)
            tell(Field::Power, "also-power", {});
        return std::move(m_list);
    }

private:
    void add(Field field, Reason reason) {
        if (!names(m_remedy, field))
            m_list.all.push_back(std::move(reason));
    }
    void tell(Field field, std::string_view id, Facts facts) { add(field, {id, std::move(facts)}); }

    const Shoot& m_shoot;
    const Setup& m_before;
    const Setup& m_after;
    RemedyId m_remedy;
    ReasonList m_list;
};

} // namespace

FilterChange filterChange(const Kit& kit, const Camera& camera,
                          const std::vector<std::string>& before,
                          const std::vector<std::string>& after) {
    std::vector<std::string> on, out;
    for (const auto& id : after)
        if (std::find(before.begin(), before.end(), id) == before.end())
            on.push_back(id);
    for (const auto& id : before)
        if (std::find(after.begin(), after.end(), id) == after.end())
            out.push_back(id);
    return {stackText(kit, camera, on), stackText(kit, camera, out)};
}

Reason FilterChange::told() const {
    return {on.empty()    ? "filters-out"
            : out.empty() ? "filters-on"
                          : "filters-swapped",
            {{"on", on}, {"out", out}}};
}

ReasonList unnamedChanges(const Shoot& shoot, const Setup& before, const Remedy& remedy) {
    const auto& edit = remedy.edit;
    return Teller(shoot, before, edit.setup.value_or(before), remedy.id).all(edit.scene);
}

} // namespace bslate
