# `cmake --install BUILD --prefix WHERE`: the programs find what they need relative to themselves.
include(GNUInstallDirs)
set(shared ${CMAKE_INSTALL_DATADIR}/bright-slate)

install(TARGETS bslate RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
install(TARGETS bslate-transforms bslate-stills bslate-codec bslate-clips RUNTIME DESTINATION libexec/bright-slate)
if(BSLATE_APP)
    install(TARGETS bright-slate RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
    install(FILES $<TARGET_FILE_DIR:bright-slate>/fonts.rcc DESTINATION ${shared})
endif()
install(DIRECTORY data/demo data/schema DESTINATION ${shared})
install(FILES LICENSE CHANGELOG.md docs/file-format.md docs/keys.md docs/judgements.md
              docs/glossary.md
        DESTINATION ${CMAKE_INSTALL_DATADIR}/doc/bright-slate)
