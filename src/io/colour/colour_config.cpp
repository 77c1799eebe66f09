#include "io/colour/colour_config.h"

#include "io/colour/transform_references.h"
#include "io/system/files.h"

#include <sstream>

namespace bslate::io {
namespace {

namespace fs = std::filesystem;

Error unreadable(const OCIO::Exception& problem) {
    return {ErrorCode::OutOfRange,
            {},
            {},
            {},
            std::string("a configuration the library can read (it says: ") + problem.what() + ")"};
}

// Looks at every file a transform names, before the library does.
class Inspector {
public:
    Inspector(OCIO::ConstConfigRcPtr config, fs::path folder)
        : m_config(std::move(config))
        , m_folder(std::move(folder)) {}

    Outcome look(const OCIO::ConstTransformRcPtr& transform) {
        if (const auto group = OCIO_DYNAMIC_POINTER_CAST<const OCIO::GroupTransform>(transform)) {
            for (int i = 0; i < group->getNumTransforms(); ++i)
                if (const auto done = look(group->getTransform(i)); !done)
                    return done;
            return Done{};
        }
        const auto file = OCIO_DYNAMIC_POINTER_CAST<const OCIO::FileTransform>(transform);
        return file ? lookAt(file->getSrc()) : Outcome(Done{});
    }

private:
    Outcome lookAt(const std::string& source) {
        const auto known = m_seen.find(source);
        if (known != m_seen.end())
            return known->second;
        const auto locate = [this](const std::string& named) -> fs::path {
            try {
                return m_config->getCurrentContext()->resolveFileLocation(named.c_str());
            } catch (const OCIO::Exception&) { // there is none; the message says so
                return m_folder / named;
            }
        };
        const auto files = filesBehind(locate(source), m_folder, locate);
        const auto outcome = files ? Outcome(Done{}) : Outcome(files.error());
        m_seen.emplace(source, outcome);
        return outcome;
    }

    OCIO::ConstConfigRcPtr m_config;
    fs::path m_folder;
    std::map<std::string, Outcome> m_seen;
};

void takeOutSpaces(Inspector& inspector, ColourConfig& opened) {
    auto& config = *opened.config;
    std::vector<std::string> names;
    for (int i = 0;
         i < config.getNumColorSpaces(OCIO::SEARCH_REFERENCE_SPACE_ALL, OCIO::COLORSPACE_ALL); ++i)
        names.emplace_back(config.getColorSpaceNameByIndex(OCIO::SEARCH_REFERENCE_SPACE_ALL,
                                                           OCIO::COLORSPACE_ALL, i));
    for (const auto& name : names) {
        const auto space = config.getColorSpace(name.c_str());
        for (const auto way :
             {OCIO::COLORSPACE_DIR_TO_REFERENCE, OCIO::COLORSPACE_DIR_FROM_REFERENCE})
            if (const auto done = inspector.look(space->getTransform(way)); !done)
                opened.refused.emplace(name, done.error());
    }
    for (const auto& [name, why] : opened.refused)
        config.removeColorSpace(name.c_str());
}

// What spaces may lean on: nothing of it is offered here, so all goes when one may not be read.
void takeOutOthers(Inspector& inspector, OCIO::Config& config) {
    bool good = true;
    for (int i = 0; i < config.getNumLooks(); ++i) {
        const auto look = config.getLook(config.getLookNameByIndex(i));
        good = good && inspector.look(look->getTransform()).ok() &&
               inspector.look(look->getInverseTransform()).ok();
    }
    if (!good)
        config.clearLooks();
    good = true;
    for (int i = 0; i < config.getNumViewTransforms(); ++i) {
        const auto view = config.getViewTransform(config.getViewTransformNameByIndex(i));
        for (const auto way :
             {OCIO::VIEWTRANSFORM_DIR_TO_REFERENCE, OCIO::VIEWTRANSFORM_DIR_FROM_REFERENCE})
            good = good && inspector.look(view->getTransform(way)).ok();
    }
    if (!good)
        config.clearViewTransforms();
    good = true;
    for (int i = 0; i < config.getNumNamedTransforms(OCIO::NAMEDTRANSFORM_ALL); ++i) {
        const auto named = config.getNamedTransform(
            config.getNamedTransformNameByIndex(OCIO::NAMEDTRANSFORM_ALL, i));
        for (const auto way : {OCIO::TRANSFORM_DIR_FORWARD, OCIO::TRANSFORM_DIR_INVERSE})
            good = good && inspector.look(named->getTransform(way)).ok();
    }
    if (!good)
        config.clearNamedTransforms();
}

} // namespace

Result<ColourConfig> openConfig(const fs::path& path) {
    ocioQuiet();
    const auto text = readFile(path, kLargestConfig);
    if (!text)
        return text.error();
    try {
        std::istringstream stream(*text);
        ColourConfig opened{OCIO::Config::CreateFromStream(stream)->createEditableCopy(), {}, {}};
        for (int i = 0; i < opened.config->getNumColorSpaces(); ++i)
            opened.spaces.emplace_back(opened.config->getColorSpaceNameByIndex(i));
        const auto folder = path.has_parent_path() ? path.parent_path() : fs::path(".");
        opened.config->setWorkingDir(fs::absolute(folder).c_str());
        Inspector inspector(opened.config, folder);
        takeOutSpaces(inspector, opened);
        takeOutOthers(inspector, *opened.config);
        return opened;
    } catch (const OCIO::Exception& problem) {
        auto error = unreadable(problem);
        error.file = path.filename().string();
        return error;
    }
}

Result<ConfigTransform> transformFrom(const ColourConfig& opened, const std::string& colourSpace) {
    if (const auto refused = opened.refused.find(colourSpace); refused != opened.refused.end())
        return refused->second;
    const auto& config = opened.config;
    try {
        if (!config->getColorSpace(colourSpace.c_str())) {
            std::string names;
            for (int i = 0; i < config->getNumColorSpaces() && i < 12; ++i)
                names += (i ? ", " : "") + std::string(config->getColorSpaceNameByIndex(i));
            return Error{ErrorCode::UnknownId,
                         {},
                         "colour space",
                         colourSpace,
                         "one of " + names + (config->getNumColorSpaces() > 12 ? " ..." : "")};
        }
        const char* target =
            config->hasRole("aces_interchange") ? "aces_interchange" : OCIO::ROLE_SCENE_LINEAR;
        const auto processor = config->getProcessor(colourSpace.c_str(), target);
        ConfigTransform result{processor->createGroupTransform(), {}};
        const auto about = processor->getProcessorMetadata();
        for (int i = 0; i < about->getNumFiles(); ++i)
            result.files.emplace_back(about->getFile(i));
        return result;
    } catch (const OCIO::Exception& problem) {
        // A space that was taken out may be what is missing.
        return opened.refused.empty() ? unreadable(problem) : opened.refused.begin()->second;
    }
}

} // namespace bslate::io
