{{-- Of a widget that was taken away: nothing, and no room for it. --}}
<template shadowrootmode="open"><style>:host{display:none!important}</style></template>
